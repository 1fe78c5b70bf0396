import type { LarderView } from '@vadose/contract/larder'
import {
  cropAhead,
  eatFirstOf,
  lineOf,
  usesLately,
  watchedDays,
  type House,
  type LotState,
} from '@vadose/core/forecast'
import { addDays, daysBetween } from '@vadose/core/households'
import { runOut, weekList } from '@vadose/core/larder'
import { standing } from '@vadose/core/lots'
import { lotRow, troubledRows } from '../lots'
import type { Move } from '../projections'

/** A pot for a household: nobody eats more of one thing in a week without complaint. Judgement. */
const potG = 1500
/** What a household eats from store in a week at the least, g. Judgement. */
const leastAppetiteG = 5000
/** a loss of less than this share in a fortnight hurries nobody */
const leastSaved = 0.02

export function larderView(house: House, moves: readonly Move[]): LarderView {
  const eatable = eatFirstOf(house)
  const lots = eatable.map(({ lot, lossAvoidedPerKg, keepsUntil, beyond, overdueSince, why }) => ({
    ...lotRow(house, lot),
    weightAtFirstG: lot.history.weightAtFirstG,
    piecesAtFirst: lot.history.piecesAtFirst,
    lossAvoidedPerKg,
    keepsUntil,
    beyond,
    overdueSince,
    why,
    note: lot.history.note?.text ?? null,
    verdict: lot.history.verdict,
    untouchedDays: untouchedDays(house, lot),
  }))
  const uses = usesLately(house, moves).byLine
  const byLine = new Map<string, typeof lots>()
  for (const lot of lots) byLine.set(lineOf(lot), [...(byLine.get(lineOf(lot)) ?? []), lot])
  const lines = [...byLine].map(([line, [first]]) => [line, { crop: first!.crop, name: first!.name }] as const)
  const of = (line: string) => byLine.get(line) ?? []
  // what has outlived its time is not counted on
  const reliable = (line: string) => of(line).filter((lot) => lot.overdueSince === null)
  const sumOf = (some: readonly { weightG: number }[]) => some.reduce((sum, lot) => sum + lot.weightG, 0)
  const weightOf = (line: string) => sumOf(reliable(line))
  /** How fast the household eats each line it has touched. */
  const paces = new Map([...uses].map(([line, own]) => [line, runOut(Math.max(1, weightOf(line)), own, house.today)]))
  const groupOf = (line: string) => house.almanac.byId.get(line)?.group
  /** How fast it eats what is like a crop it has not touched yet. */
  const paceLike = (line: string) => {
    const group = groupOf(line)
    const alike = [...paces].filter(([id]) => group && groupOf(id) === group).map(([, pace]) => pace.perWeek.p50)
    return alike.length > 0 ? { perWeek: alike.reduce((a, b) => a + b, 0) / alike.length } : undefined
  }
  const against = (crop: string) => {
    const { lasts, gapFrom, nextCropOn } = cropAhead(house, moves, crop)
    return { lasts, gapFrom, nextCropOn }
  }
  return {
    troubled: troubledRows(house),
    lots,
    totals: lines.map(([crop, line]) => ({
      ...line,
      weightG: weightOf(crop),
      // bags are no heads
      pieces: reliable(crop).reduce(
        (sum, lot) => sum + (lot.form === 'fresh' && lot.unit === null ? (lot.pieces ?? 0) : 0),
        0,
      ),
      uncountedG: sumOf(
        reliable(crop).filter((lot) => lot.form === 'fresh' && (lot.pieces === null || lot.unit !== null)),
      ),
      driedG: sumOf(reliable(crop).filter((lot) => lot.form === 'dried')),
      otherG: sumOf(reliable(crop).filter((lot) => !['fresh', 'dried', 'frozen'].includes(lot.form))),
      frozenG: sumOf(reliable(crop).filter((lot) => lot.form === 'frozen')),
      overdueG: of(crop).reduce((sum, lot) => sum + (lot.overdueSince === null ? 0 : lot.weightG), 0),
    })),
    runOut: lines.map(([crop, line]) => {
      const prior = paces.has(crop) ? undefined : paceLike(crop)
      const pace = paces.get(crop) ?? (prior ? runOut(Math.max(1, weightOf(crop)), [], house.today, prior) : null)
      const until = reliable(crop).map((lot) => lot.keepsUntil)
      return {
        ...line,
        perWeekG: pace?.perWeek ?? null,
        runsOutOn: pace?.runsOutOn ?? null,
        keepsUntil: until.sort().at(-1) ?? null,
        // a dish has no harvest to last to
        ...(line.name === null ? against(crop) : { lasts: null, gapFrom: null, nextCropOn: null }),
      }
    }),
    weightG: lots.reduce((sum, lot) => sum + lot.weightG, 0),
    week: weekOf(house, lots, uses),
  }
}

/** Days a lot has stood there without anybody taking of it; null where somebody has. */
function untouchedDays(house: House, { history }: LotState): number | null {
  const taken = standing(history.events).some(({ kind, weightG }) => kind === 'used' && weightG < 0)
  return taken ? null : daysBetween(house.dateOf(history.storedAtMs ?? history.broughtAtMs), house.today)
}

/** One pot a day of what would be lost, as much as the household eats in a week. */
function weekOf(
  house: House,
  lots: readonly Pick<LarderView['lots'][number], 'code' | 'weightG' | 'lossAvoidedPerKg' | 'keepsUntil'>[],
  uses: ReadonlyMap<string, { amount: number }[]>,
): LarderView['week'] {
  const used = [...uses.values()].flat().reduce((sum, { amount }) => sum + amount, 0)
  const eaten = (used * 7) / watchedDays
  const lines = lots.map(({ code, weightG, lossAvoidedPerKg }) => ({
    id: code,
    onHandG: weightG,
    savedPerG: lossAvoidedPerKg < leastSaved ? 0 : lossAvoidedPerKg,
    mostG: potG,
  }))
  const picked = weekList(lines, Math.max(eaten, leastAppetiteG)).slice(0, 7)
  const until = new Map(lots.map(({ code, keepsUntil }) => [code, keepsUntil]))
  const soonest = [...picked].sort((a, b) => (until.get(a.id)! < until.get(b.id)! ? -1 : 1))
  return {
    pots: soonest.map(({ id, useG, savesG }, i) => ({
      on: addDays(house.today, i),
      code: id,
      useG: Math.round(useG),
      savesG: Math.round(savesG),
    })),
    savedG: Math.round(picked.reduce((sum, { savesG }) => sum + savesG, 0)),
    atRiskG: Math.round(lots.reduce((sum, lot) => sum + lot.weightG * lot.lossAvoidedPerKg, 0)),
  }
}
