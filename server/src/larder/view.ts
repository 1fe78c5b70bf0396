import { watchedDays } from '@vadose/core/assumptions'
import type { LarderView } from '@vadose/contract/larder'
import {
  cropAhead,
  eatFirstOf,
  lineOf,
  usesLately,
  type EatableLot,
  type House,
  type LotState,
} from '@vadose/core/forecast'
import { addDays, daysBetween } from '@vadose/core/households'
import { runOut, weekList, type RunOut, type Use } from '@vadose/core/larder'
import { standing } from '@vadose/core/lots'
import { lotRow, troubledRows } from '../lots'
import type { Move } from '../projections'

/** A pot for a household: nobody eats more of one thing in a week without complaint. Judgement. */
const potG = 1500
/** What a household eats from store in a week at the least, g. Judgement. */
const leastAppetiteG = 5000
/** a loss of less than this share in a fortnight hurries nobody */
const leastSaved = 0.02

type LarderLot = LarderView['lots'][number]

export function larderView(house: House, moves: Iterable<Move>): LarderView {
  const lots = eatFirstOf(house).map((eatable) => larderLot(house, eatable))
  const byLine = new Map<string, LarderLot[]>()
  for (const lot of lots) {
    const own = byLine.get(lineOf(lot))
    if (own) own.push(lot)
    else byLine.set(lineOf(lot), [lot])
  }
  const lines = [...byLine].map(([line, own]) => house.once(null, `sums ${line}`, own, () => lineIn(line, own)))
  const weightOf = new Map(lines.map(({ line, total }) => [line, total.weightG]))
  const uses = usesLately(house, moves).byLine
  /** How fast the household eats each line it has touched, what is eaten up too. */
  const paces = new Map([...uses].map(([line, own]) => [line, paceOf(house, line, weightOf.get(line) ?? 0, own)]))
  const groupOf = (line: string) => house.almanac.byId.get(line)?.group
  /** How fast it eats what is like a crop it has not touched yet. */
  const paceLike = (line: string) => {
    const group = groupOf(line)
    const alike = [...paces].filter(([id]) => group && groupOf(id) === group).map(([, pace]) => pace.perWeek.p50)
    return alike.length > 0 ? alike.reduce((a, b) => a + b, 0) / alike.length : undefined
  }
  return {
    troubled: troubledRows(house),
    lots,
    totals: lines.map(({ total }) => total),
    runOut: lines.map((of) => {
      const { line, total, keepsUntil } = of
      const { crop, name, weightG } = total
      const touched = paces.get(line)
      const perWeek = touched ? undefined : paceLike(line)
      // a dish has no harvest to last to
      const ahead = name === null ? cropAhead(house, moves, crop) : undefined
      return house.once(null, `run out ${line}`, [of, touched, perWeek, ahead, house.today], () => {
        const pace =
          touched ?? (perWeek === undefined ? null : runOut(Math.max(1, weightG), [], house.today, { perWeek }))
        return {
          crop,
          name,
          perWeekG: pace?.perWeek ?? null,
          runsOutOn: pace?.runsOutOn ?? null,
          keepsUntil,
          lasts: ahead?.lasts ?? null,
          gapFrom: ahead?.gapFrom ?? null,
          nextCropOn: ahead?.nextCropOn ?? null,
        }
      })
    }),
    weightG: lots.reduce((sum, lot) => sum + lot.weightG, 0),
    week: weekNow(house, lots, uses),
  }
}

const paceOf = (house: House, line: string, weightG: number, uses: readonly Use[]): RunOut =>
  house.once(null, `pace of ${line}`, [uses, weightG, house.today], () =>
    runOut(Math.max(1, weightG), uses, house.today),
  )

const larderLot = (house: House, eatable: EatableLot): LarderLot =>
  house.seenOf(eatable.lot, 'larder lot', () => larderLotOf(house, eatable))

function larderLotOf(house: House, eatable: EatableLot): LarderLot {
  const { lot, lossAvoidedPerKg, keepsUntil, beyond, overdueSince, why } = eatable
  const place = house.place(lot.placeId)?.name
  return house.once(
    lot,
    'in the larder',
    [lot, place, house.today, lossAvoidedPerKg, keepsUntil, beyond, overdueSince, why],
    () => ({
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
    }),
  )
}

/** What there is of a line, and how long the last of it keeps. */
function lineIn(line: string, lots: readonly LarderLot[]) {
  const { crop, name } = lots[0]!
  // what has outlived its time is not counted on
  const reliable = lots.filter((lot) => lot.overdueSince === null)
  const grams = (some: readonly LarderLot[]) => some.reduce((sum, lot) => sum + lot.weightG, 0)
  const fresh = reliable.filter((lot) => lot.form === 'fresh')
  // bags are no heads
  const counted = fresh.filter((lot) => lot.unit === null && lot.pieces !== null)
  const total = {
    crop,
    name,
    weightG: grams(reliable),
    pieces: counted.reduce((sum, lot) => sum + lot.pieces!, 0),
    uncountedG: grams(fresh.filter((lot) => !counted.includes(lot))),
    driedG: grams(reliable.filter((lot) => lot.form === 'dried')),
    otherG: grams(reliable.filter((lot) => !['fresh', 'dried', 'frozen'].includes(lot.form))),
    frozenG: grams(reliable.filter((lot) => lot.form === 'frozen')),
    overdueG: grams(lots.filter((lot) => lot.overdueSince !== null)),
  }
  const keepsUntil = reliable.map((lot) => lot.keepsUntil).sort()
  return { line, total, keepsUntil: keepsUntil.at(-1) ?? null }
}

/** Days a lot has stood there without anybody taking of it; null where somebody has. */
function untouchedDays(house: House, { history }: LotState): number | null {
  const taken = standing(history.events).some(({ kind, weightG }) => kind === 'used' && weightG < 0)
  return taken ? null : daysBetween(house.dateOf(history.storedAtMs ?? history.broughtAtMs), house.today)
}

interface WeekOfPots {
  today: string
  lots: readonly Pot[]
  uses: Uses
  week: LarderView['week']
}
type Pot = Pick<LarderLot, 'code' | 'weightG' | 'lossAvoidedPerKg' | 'keepsUntil'>
type Uses = ReadonlyMap<string, readonly Use[]>

/** The week's pots; as they were where nothing they are picked by has changed. */
const weekNow = (house: House, lots: readonly Pot[], uses: Uses): LarderView['week'] =>
  house.once<WeekOfPots>(null, 'week of pots', [lots], (was) =>
    was?.today === house.today && was.uses === uses && samePots(was.lots, lots)
      ? { ...was, lots }
      : { today: house.today, lots, uses, week: weekOf(house, lots, uses) },
  ).week

const samePots = (a: readonly Pot[], b: readonly Pot[]): boolean =>
  a.length === b.length && a.every((pot, i) => pot === b[i] || samePot(pot, b[i]!))
const samePot = (a: Pot, b: Pot): boolean =>
  a.code === b.code &&
  a.weightG === b.weightG &&
  a.lossAvoidedPerKg === b.lossAvoidedPerKg &&
  a.keepsUntil === b.keepsUntil

/** One pot a day of what would be lost, as much as the household eats in a week. */
function weekOf(house: House, lots: readonly Pot[], uses: Uses): LarderView['week'] {
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
