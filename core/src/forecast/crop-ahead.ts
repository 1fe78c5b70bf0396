import { addedTo } from '../grown'
import { addDays, daysBetween, type CivilDate } from '../households'
import { runOut, type Use } from '../larder'
import { aheadOf, lastsTo } from '../year'
import { floats } from '../rows'
import type { House } from './house'
import { othersOf, type LotState } from './lot'
import { sharesAhead, weeksAhead } from './shares-ahead'
import { workable } from './trouble'
import { appetiteG, guessedPaceOff, watchedDays } from '../assumptions'

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

const yearDays = 365

/** What is eaten at one pace: a crop, or a thing with a name of its own. */
export const lineOf = ({ crop, name }: { crop: string; name: string | null }): string =>
  name ? `${crop}: ${name}` : crop

/** What was used lately day by day, g: of each line by its name, and of each crop in all its lines. */
export const usesLately = (house: House, moves: Iterable<StockMove>) =>
  house.once<UsesLately>(null, 'uses', [moves, house.today], (was) => {
    if (was?.today === house.today && addedTo(was.moves, moves)?.every(({ kind }) => kind !== 'used')) {
      return { ...was, moves }
    }
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
    // a line nobody has eaten of since keeps its list: what was learnt from it stands
    const inOrder = (of: typeof byLine, before: Uses | undefined): Uses =>
      new Map(
        [...of].map(([key, days]) => {
          const own = [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, amount]) => ({ date, amount }))
          const known = before?.get(key)
          return [key, known && sameUses(known, own) ? known : own]
        }),
      )
    return { today: house.today, moves, byLine: inOrder(byLine, was?.byLine), byCrop: inOrder(byCrop, was?.byCrop) }
  })

type Uses = ReadonlyMap<string, readonly Use[]>
interface UsesLately {
  /** counted up to this day, from these */
  today: CivilDate
  moves: Iterable<StockMove>
  byLine: Uses
  byCrop: Uses
}
const sameUses = (a: readonly Use[], b: readonly Use[]): boolean =>
  a.length === b.length && a.every(({ date, amount }, i) => date === b[i]!.date && amount === b[i]!.amount)

function guessedPace(allG: number, onHandG: number) {
  const p50 = (appetiteG * onHandG) / Math.max(appetiteG, allG)
  return { p10: p50 * guessedPaceOff.p10, p50, p90: p50 * guessedPaceOff.p90 }
}

/** What is to be eaten in all, g. A guess is no finer than a kilo, and every line's would move by what one bunch has dried. */
const inAllG = (house: House) =>
  Math.round(house.lots.reduce((g, lot) => g + (lot.fate === 'plant' ? 0 : lot.weightG), 0) / 1000) * 1000

/** How a crop lasts from today: week by week, against the day its next harvest is to be expected. */
export interface CropAhead {
  /** g still there and sound, week by week from today */
  ahead: { p10: number; p50: number; p90: number }[]
  nextCropOn: CivilDate | null
  /** the week nothing is left, before the next crop; null where there is none */
  gapFrom: CivilDate | null
  lasts: 'short' | 'right' | 'too-much' | null
}

/** What is asked for every crop's sake. */
const ofAllCrops = (house: House, moves: Iterable<StockMove>) =>
  house.shown('of all crops', [moves], () => ({
    lots: lotsByCrop(house),
    uses: usesLately(house, moves).byCrop,
    nextCrops: nextCrops(house, moves),
    allG: inAllG(house),
  }))

/** @param moves all there ever were */
export function cropAhead(house: House, moves: Iterable<StockMove>, crop: string): CropAhead {
  const all = ofAllCrops(house, moves)
  const lots = all.lots.get(crop) ?? none
  const uses = all.uses.get(crop)
  const nextCropOn = all.nextCrops.get(crop) ?? null
  return house.once(null, `ahead ${crop}`, [lots, house.setting, uses ?? all.allG, nextCropOn], () => {
    const sound = soundAhead(house, lots)
    const pace = uses ? runOut(Math.max(1, sound[0]!), uses, house.today).perWeek : guessedPace(all.allG, sound[0]!)
    return lastsFor(house.today, aheadOf([...sound], pace), nextCropOn)
  })
}

/** What will be sound of some lots week by week from today, g. */
function soundAhead(house: House, lots: readonly LotState[]): Float64Array {
  const sums = floats(weeksAhead)
  for (const lot of lots) {
    const shares = sharesAhead(house, lot)
    for (let week = 0; week < weeksAhead; week++) sums[week]! += lot.weightG * (shares[week] ?? 0)
  }
  return sums
}

function lastsFor(today: CivilDate, ahead: CropAhead['ahead'], nextCropOn: CivilDate | null): CropAhead {
  const lasts = lastsTo(ahead, nextCropOn === null ? null : daysBetween(today, nextCropOn) / 7)
  const gone = ahead.findIndex(({ p50 }) => p50 <= 0)
  const gapFrom = gone > 0 ? addDays(today, 7 * gone) : null
  return {
    ahead,
    nextCropOn,
    gapFrom: gapFrom !== null && (nextCropOn === null ? true : lasts === 'short') ? gapFrom : null,
    lasts,
  }
}

const none: readonly LotState[] = []

type LotsByCrop = ReadonlyMap<string, readonly LotState[]>

/** What may be eaten of each crop; the very same list where it is the same lots. */
const lotsByCrop = (house: House): LotsByCrop =>
  house.once<{ lots: readonly LotState[]; by: LotsByCrop }>(null, 'lots by crop', [workable(house)], (was) => {
    const lots = workable(house)
    const others = was && othersOf(was.lots, lots)
    if (!others) return { lots, by: grouped(house, lots) }
    const by = new Map(was.by)
    for (const [before, lot] of others) {
      // which of them is eaten is another
      if (before.crop !== lot.crop || (before.fate === 'plant') !== (lot.fate === 'plant')) {
        return { lots, by: grouped(house, lots) }
      }
      const own = by.get(lot.crop)
      if (own && lot.fate !== 'plant')
        by.set(
          lot.crop,
          own.map((one) => (one === before ? lot : one)),
        )
    }
    return { lots, by }
  }).by

function grouped(house: House, lots: readonly LotState[]): LotsByCrop {
  const by = new Map<string, LotState[]>()
  for (const lot of lots) {
    if (lot.fate === 'plant') continue
    const own = by.get(lot.crop)
    if (own) own.push(lot)
    else by.set(lot.crop, [lot])
  }
  return new Map([...by].map(([crop, own]) => [crop, house.once(null, `lots of ${crop}`, own, () => own)]))
}

/** The day each crop first came in within the last year, a year on: when the next is to be expected. */
const nextCrops = (house: House, moves: Iterable<StockMove>) =>
  house.once<{ today: CivilDate; moves: Iterable<StockMove>; next: Map<string, CivilDate> }>(
    null,
    'next crops',
    [moves, house.today],
    (was) => {
      if (was?.today === house.today && addedTo(was.moves, moves)?.every(({ kind }) => kind !== 'brought-in')) {
        return { ...was, moves }
      }
      const since = addDays(house.today, -yearDays)
      const first = new Map<string, CivilDate>()
      for (const { kind, crop, on } of moves) {
        if (kind === 'brought-in' && on > since && !(first.get(crop)! <= on)) first.set(crop, on)
      }
      return { today: house.today, moves, next: new Map([...first].map(([crop, on]) => [crop, addDays(on, yearDays)])) }
    },
  ).next
