import type { LarderView } from '@vadose/contract/larder'
import { eatFirstOf, type House } from '@vadose/core/forecast'
import { addDays } from '@vadose/core/households'
import { runOut } from '@vadose/core/larder'
import { lotRow, troubledRows } from '../lots'
import type { Move } from '../projections'

/** Days of eating that the pace is learnt from. */
const watchedDays = 120

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
  }))
  const uses = usesByCrop(house, moves)
  const cropIds = [...new Set(lots.map((lot) => lot.crop))]
  const of = (crop: string) => lots.filter((lot) => lot.crop === crop)
  // what has outlived its time is not counted on
  const reliable = (crop: string) => of(crop).filter((lot) => lot.overdueSince === null)
  const sumOf = (some: readonly { weightG: number }[]) => some.reduce((sum, lot) => sum + lot.weightG, 0)
  const weightOf = (crop: string) => sumOf(reliable(crop))
  /** How fast the household eats each crop it has touched. */
  const paces = new Map([...uses].map(([crop, own]) => [crop, runOut(Math.max(1, weightOf(crop)), own, house.today)]))
  const groupOf = (crop: string) => house.almanac.byId.get(crop)?.group
  /** How fast it eats what is like a crop it has not touched yet. */
  const paceLike = (crop: string) => {
    const alike = [...paces].filter(([id]) => groupOf(id) === groupOf(crop)).map(([, pace]) => pace.perWeek.p50)
    return alike.length > 0 ? { perWeek: alike.reduce((a, b) => a + b, 0) / alike.length } : undefined
  }
  return {
    troubled: troubledRows(house),
    lots,
    totals: cropIds.map((crop) => ({
      crop,
      weightG: weightOf(crop),
      // bags are no heads
      pieces: reliable(crop).reduce((sum, lot) => sum + (lot.form === 'frozen' ? 0 : (lot.pieces ?? 0)), 0),
      uncountedG: sumOf(reliable(crop).filter((lot) => lot.form !== 'frozen' && lot.pieces === null)),
      driedG: sumOf(reliable(crop).filter((lot) => lot.form === 'dried')),
      frozenG: sumOf(reliable(crop).filter((lot) => lot.form === 'frozen')),
      overdueG: of(crop).reduce((sum, lot) => sum + (lot.overdueSince === null ? 0 : lot.weightG), 0),
    })),
    runOut: cropIds.map((crop) => {
      const prior = paces.has(crop) ? undefined : paceLike(crop)
      const pace = paces.get(crop) ?? (prior ? runOut(Math.max(1, weightOf(crop)), [], house.today, prior) : null)
      const until = reliable(crop).map((lot) => lot.keepsUntil)
      return {
        crop,
        perWeekG: pace?.perWeek ?? null,
        runsOutOn: pace?.runsOutOn ?? null,
        keepsUntil: until.sort().at(-1) ?? null,
      }
    }),
    weightG: lots.reduce((sum, lot) => sum + lot.weightG, 0),
  }
}

/** What was used of each crop day by day, g. */
const usesByCrop = (house: House, moves: readonly Move[]) =>
  house.once(null, 'uses', [moves, house.today], () => {
    const since = addDays(house.today, -watchedDays)
    const byCrop = new Map<string, Map<string, number>>()
    for (const { on, kind, crop, weightG } of moves) {
      if (kind !== 'used' || on < since || weightG >= 0) continue
      const days = byCrop.get(crop) ?? new Map<string, number>()
      byCrop.set(crop, days)
      days.set(on, (days.get(on) ?? 0) - weightG)
    }
    return new Map(
      [...byCrop].map(([crop, days]) => [
        crop,
        [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, amount]) => ({ date, amount })),
      ]),
    )
  })
