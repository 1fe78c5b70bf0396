import { addDays, daysBetween, type CivilDate } from '../households'
import { leftOverShare, shortByWeeks } from '../assumptions'

/** A change of weight on a day, as the ledger tells it now. */
export interface YearMove {
  on: CivilDate
  /** of the ledger */
  kind: string
  crop: string
  /** g; below nothing for what went */
  weightG: number
  /** why it was lost */
  cause?: string | null
}

/** What there was of a crop week by week: on each day named, after what happened on it. */
export function stockOn(moves: Iterable<YearMove>, days: readonly CivilDate[]): Map<string, number[]> {
  const byCrop = new Map<string, number[]>()
  for (const { on, crop, weightG } of moves) {
    const stock = byCrop.get(crop) ?? new Array<number>(days.length).fill(0)
    byCrop.set(crop, stock)
    // days are in order: from the first that is not before it on, it counts
    for (let i = days.length - 1; i >= 0 && days[i]! >= on; i--) stock[i]! += weightG
  }
  return byCrop
}

/** Every seventh day from one day to another, the last one too. */
export function weeksOf(from: CivilDate, to: CivilDate): CivilDate[] {
  const weeks = Math.max(0, Math.floor(daysBetween(from, to) / 7))
  const days = Array.from({ length: weeks + 1 }, (_, i) => addDays(from, 7 * i))
  return days.at(-1) === to ? days : [...days, to]
}

/** Where every gram of a crop went since a day. */
export interface Reckoning {
  crop: string
  /** in the house on that day */
  startG: number
  /** brought in, found, bought */
  putUpG: number
  eatenG: number
  givenG: number
  plantedG: number
  fedG: number
  lostG: number
  /** water, trimmings, husks */
  driedG: number
  /** went into dishes of other crops, or came from them: above nothing for what came */
  cookedG: number
  /** put right: above nothing for what was found to be more */
  correctedG: number
  leftG: number
  /** lost, by what it was lost to, most first */
  causes: { cause: string; weightG: number }[]
}

const column: Partial<Record<string, keyof Omit<Reckoning, 'crop' | 'causes' | 'startG' | 'leftG'>>> = {
  'brought-in': 'putUpG',
  added: 'putUpG',
  used: 'eatenG',
  given: 'givenG',
  planted: 'plantedG',
  fed: 'fedG',
  lost: 'lostG',
  'split-out': 'cookedG',
  'split-in': 'cookedG',
  corrected: 'correctedG',
}
const signed = ['putUpG', 'cookedG', 'correctedG']

/**
 * The books of each crop from a day on: start + put up + cooked + corrected = eaten + given + planted + fed + lost + dried + left.
 * @param moves all there ever were
 */
export function reckoningOf(moves: Iterable<YearMove>, from: CivilDate): Reckoning[] {
  const byCrop = new Map<string, Reckoning & { by: Map<string, number> }>()
  for (const { on, kind, crop, weightG, cause } of moves) {
    const own = byCrop.get(crop) ?? {
      crop,
      startG: 0,
      putUpG: 0,
      eatenG: 0,
      givenG: 0,
      plantedG: 0,
      fedG: 0,
      lostG: 0,
      driedG: 0,
      cookedG: 0,
      correctedG: 0,
      leftG: 0,
      causes: [],
      by: new Map<string, number>(),
    }
    byCrop.set(crop, own)
    own.leftG += weightG
    if (on < from) {
      own.startG += weightG
      continue
    }
    // whatever else changes a weight is water and what was cut away
    const name = column[kind] ?? 'driedG'
    own[name] += signed.includes(name) ? weightG : 0 - weightG
    if (kind === 'lost') own.by.set(cause ?? 'not said', (own.by.get(cause ?? 'not said') ?? 0) - weightG)
  }
  return [...byCrop.values()]
    .map(({ by, ...own }) => ({
      ...own,
      causes: [...by].map(([cause, weightG]) => ({ cause, weightG })).sort((a, b) => b.weightG - a.weightG),
    }))
    .filter((own) => own.startG + own.putUpG + own.leftG > 0)
    .sort((a, b) => b.putUpG + b.startG - (a.putUpG + a.startG))
}

/** What is left of a crop week by week at the pace it is eaten, of what is still sound, g. */
export function aheadOf(
  soundG: readonly number[],
  perWeekG: { p10: number; p50: number; p90: number },
): { p10: number; p50: number; p90: number }[] {
  return soundG.map((sound, week) => ({
    p10: Math.max(0, sound - perWeekG.p90 * week),
    p50: Math.max(0, sound - perWeekG.p50 * week),
    p90: Math.max(0, sound - perWeekG.p10 * week),
  }))
}

/**
 * Whether a line lasts to its next crop: short where it is gone well before, too much where a quarter of today’s would be left.
 * @param slackWeeks before the next crop, in which being out of it is nothing
 * @param ahead from today, week by week
 * @param weeksToNext null where nobody knows of a next crop
 */
export function lastsTo(
  ahead: readonly { p50: number }[],
  weeksToNext: number | null,
  slackWeeks = shortByWeeks,
): 'short' | 'right' | 'too-much' | null {
  if (weeksToNext === null || ahead.length === 0 || ahead[0]!.p50 <= 0) return null
  const after = (weeks: number) => ahead[Math.min(ahead.length - 1, Math.max(0, Math.round(weeks)))]!.p50
  if (after(weeksToNext - slackWeeks) <= 0) return 'short'
  return after(weeksToNext) > ahead[0]!.p50 * leftOverShare ? 'too-much' : 'right'
}
