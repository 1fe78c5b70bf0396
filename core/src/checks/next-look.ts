import { usualHabits, type Habits } from '../almanac'
import { firstLookDays, firstLookNotBeforeDays, goThroughAllShare, knownForDays, lookBeforeLost } from '../assumptions'
import { cullsCome, nineInTenFrom, soundShare, type LifeModel, type LotBelief } from '../stores'
import { bearableHarm, nextCheckInDays } from './next-check'
import type { Check } from './posterior'

/** Days until this share of what is sound now is expected to be gone, by whatever cause; at least one. */
export function daysUntilLost(model: LifeModel, belief: LotBelief, nowDay: number, share: number): number {
  const now = Array.from(belief.weights, (_, j) => soundShare(model, nowDay, j))
  const lost = (days: number) =>
    belief.weights.reduce(
      (sum, w, j) => sum + w * (now[j]! > 1e-12 ? 1 - soundShare(model, nowDay + days, j) / now[j]! : 1),
      0,
    )
  let early = 1
  let late = Math.max(1, Math.ceil(model.days - nowDay))
  while (early < late) {
    const mid = Math.floor((early + late) / 2)
    if (lost(mid) >= share) late = mid
    else early = mid + 1
  }
  return early
}

/**
 * Days until the next look at a lot: when its bad ones are expected to have done harm to their neighbours, but in any
 * case before more than a fifth of what is sound is expected to be gone. Wrinkles and sprouts spoil no neighbour, yet
 * nobody wants to find a crate of them. What came in hurt shows in the first weeks, so the first looks come then. And
 * nobody is told that a lot's time is over who was not asked to look at it before.
 * @param looks how many there have been
 * @param pieces how many there are
 * @param spread new bad ones a week for each bad one
 * @param timeLeftDays days until no more than nine in ten are expected to be sound; none are left where that has passed
 */
export function nextLookInDays(
  model: LifeModel,
  belief: LotBelief,
  nowDay: number,
  looks: number,
  pieces: number,
  spread: number,
  { bearableBadPct, longestLookGapDays }: Pick<Habits, 'bearableBadPct' | 'longestLookGapDays'> = usualHabits,
  timeLeftDays: number = nineInTenFrom(model, nowDay, belief, spread, 0).p50 - nowDay,
): number {
  const bearable = bearableHarm(pieces, bearableBadPct)
  const harmed = nextCheckInDays(model, belief, nowDay, pieces, spread, bearable, longestLookGapDays)
  const shows = looks === 0 && cullsCome(model) ? Math.min(firstLookNotBeforeDays, longestLookGapDays) - nowDay : 0
  const soonest = looks === 0 ? 1 : knownForDays
  const over = timeLeftDays > 0 ? Math.max(soonest, Math.floor(timeLeftDays)) : Infinity
  const believed = Math.min(Math.max(harmed, shows), daysUntilLost(model, belief, nowDay, lookBeforeLost), over)
  // whoever looked late for the first time has seen what the weeks before would have shown
  const early = cullsCome(model) ? firstLookDays.find((day, i) => i >= looks && day > nowDay) : undefined
  return early === undefined ? believed : Math.min(believed, Math.max(1, Math.round(early - nowDay)))
}

/** A look that found so many bad says to go through all of it, if it was not all. */
export const asksForAll = ({ lookedAt, bad, lotSize }: Pick<Check, 'lookedAt' | 'bad' | 'lotSize'>): boolean =>
  bad > goThroughAllShare * lookedAt && lookedAt < (lotSize ?? Infinity)
