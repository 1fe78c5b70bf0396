import { addDays, daysBetween, type CivilDate } from '../households'
import { runOut } from '../larder'
import { aheadOf, lastsTo } from '../year'
import type { House } from './house'
import { sharesAhead, weeksAhead } from './shares-ahead'
import { workable } from './trouble'

/** A change of weight on a day, as the ledger tells it. */
export interface StockMove {
  on: CivilDate
  kind: string
  crop: string
  /** of its own, where it is not simply its crop */
  name: string | null
  /** g; below nothing for what went */
  weightG: number
}

/** Days of eating that the pace is learnt from. */
export const watchedDays = 120
const yearDays = 365

/** What is eaten at one pace: a crop, or a thing with a name of its own. */
export const lineOf = ({ crop, name }: { crop: string; name: string | null }): string =>
  name ? `${crop}: ${name}` : crop

/** What was used lately day by day, g: of each line by its name, and of each crop in all its lines. */
export const usesLately = (house: House, moves: readonly StockMove[]) =>
  house.once(null, 'uses', [moves, house.today], () => {
    const since = addDays(house.today, -watchedDays)
    const [byLine, byCrop] = [new Map<string, Map<string, number>>(), new Map<string, Map<string, number>>()]
    const count = (of: typeof byLine, key: string, on: string, g: number) => {
      const days = of.get(key) ?? new Map<string, number>()
      of.set(key, days)
      days.set(on, (days.get(on) ?? 0) + g)
    }
    for (const { on, kind, crop, name, weightG } of moves) {
      if (kind !== 'used' || on < since || weightG >= 0) continue
      count(byLine, lineOf({ crop, name }), on, -weightG)
      count(byCrop, crop, on, -weightG)
    }
    const inOrder = (of: typeof byLine) =>
      new Map(
        [...of].map(([key, days]) => [
          key,
          [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, amount]) => ({ date, amount })),
        ]),
      )
    return { byLine: inOrder(byLine), byCrop: inOrder(byCrop) }
  })

/** What a household eats from store in a week, g, where nobody has eaten of something yet: shared out by what there is. Judgement. */
const appetiteG = 5000
const unsure = { p10: 0.4, p90: 1.8 }
function guessedPace(house: House, onHandG: number) {
  const allG = house.lots.reduce((sum, lot) => sum + (lot.fate === 'plant' ? 0 : lot.weightG), 0)
  const p50 = (appetiteG * onHandG) / Math.max(appetiteG, allG)
  return { p10: p50 * unsure.p10, p50, p90: p50 * unsure.p90 }
}

/** How a crop lasts from today: week by week, against the day its next harvest is to be expected. */
export interface CropAhead {
  /** g still there and sound, week by week from today */
  ahead: { p10: number; p50: number; p90: number }[]
  nextCropOn: CivilDate | null
  /** the week nothing is left, before the next crop; null where there is none */
  gapFrom: CivilDate | null
  lasts: 'short' | 'right' | 'too-much' | null
}

/** @param moves all there ever were */
export function cropAhead(house: House, moves: readonly StockMove[], crop: string): CropAhead {
  const sound = new Float64Array(weeksAhead)
  for (const lot of workable(house)) {
    if (lot.crop !== crop || lot.fate === 'plant') continue
    const shares = sharesAhead(house, lot)
    for (let week = 0; week < weeksAhead; week++) sound[week]! += lot.weightG * (shares[week] ?? 0)
  }
  const uses = usesLately(house, moves).byCrop.get(crop)
  const pace = uses ? runOut(Math.max(1, sound[0]!), uses, house.today).perWeek : guessedPace(house, sound[0]!)
  const ahead = aheadOf([...sound], pace)
  const nextCropOn = nextCrops(house, moves).get(crop) ?? null
  const lasts = lastsTo(ahead, nextCropOn === null ? null : daysBetween(house.today, nextCropOn) / 7)
  const gone = ahead.findIndex(({ p50 }) => p50 <= 0)
  const gapFrom = gone > 0 ? addDays(house.today, 7 * gone) : null
  return {
    ahead,
    nextCropOn,
    gapFrom: gapFrom !== null && (nextCropOn === null ? true : lasts === 'short') ? gapFrom : null,
    lasts,
  }
}

/** The day each crop first came in within the last year, a year on: when the next is to be expected. */
const nextCrops = (house: House, moves: readonly StockMove[]) =>
  house.once(null, 'next crops', [moves, house.today], () => {
    const since = addDays(house.today, -yearDays)
    const first = new Map<string, CivilDate>()
    for (const { kind, crop, on } of moves) {
      if (kind === 'brought-in' && on > since && !(first.get(crop)! <= on)) first.set(crop, on)
    }
    return new Map([...first].map(([crop, on]) => [crop, addDays(on, yearDays)]))
  })
