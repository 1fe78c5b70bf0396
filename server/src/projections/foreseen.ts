import { House, type LotState } from '@vadose/core/forecast'
import { nowOf, type HouseholdRow } from '../households'
import type { Entered } from './entered'
import { ownEntries, type Entries } from './entries'
import { inOrder, standsNow, type Known } from './known'
import { beyond, reachFor } from './reach'

/** The lots with those told anew; what nothing is left of is gone. */
export function lotsWith(known: Known, { touched, changed }: Entries): Map<string, LotState> {
  const lots = new Map(known.lots)
  for (const lotId of touched) {
    const lot = changed.get(lotId)
    if (lot && lot.stage !== 'gone') lots.set(lotId, lot)
    else lots.delete(lotId)
  }
  return lots
}

/** A household with what this server entered itself, at once; undefined where something has to be read for it. */
export function withOwn(known: Known, entered: readonly Entered[], household: HouseholdRow): Known | undefined {
  const entries = ownEntries(known, entered, household.timeZone)
  if (!entries) return undefined
  const { places, almanac, lastEvent, moved, moves, bedEntries, changed, ofBeds } = entries
  const { house: was } = known
  if (beyond(known.reach, reachFor(places, changed.values(), was.nowMs))) return undefined
  const lots = lotsWith(known, entries)
  const house = new House(
    {
      household,
      places: was.everyPlace,
      lots: inOrder(lots, was.lots),
      almanac,
      nowMs: Math.max(was.nowMs, nowOf(household)),
      rainMm: was.rainMm,
      stands: ofBeds ? standsNow(bedEntries, moves, was.today, was.stands) : was.stands,
      lessons: was.lessons,
      // entries alone say nothing of pictures and harvests
      besides: was.besides,
    },
    was,
  )
  return { ...known, house, lots, lastEvent, moved, moves, bedEntries, catchingUp: undefined }
}

/** What was worked out of each household's latest write: of use only where it was written, and on what was known then. */
export class Foreseen {
  private readonly latest = new Map<string, { house: House; entered: readonly Entered[]; next: Known }>()

  add(id: string, { house }: Known, entered: readonly Entered[], next: Known): void {
    this.latest.set(id, { house, entered, next })
  }

  /** Told once. */
  take(id: string, { house }: Known, entered: readonly Entered[]): Known | undefined {
    const seen = this.latest.get(id)
    const same =
      seen?.house === house &&
      seen.entered.length === entered.length &&
      entered.every((one, i) => one === seen.entered[i])
    if (!same) return undefined
    this.latest.delete(id)
    return seen.next
  }

  forget(id: string): void {
    this.latest.delete(id)
  }
}
