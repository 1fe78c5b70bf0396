import { bearableBadShare, checkIntervalDays, ownHarm, runsForDays } from '../assumptions'
import { badShare, runningShares, soundShares, type LifeModel, type LotBelief } from '../stores'
import { floats, floatsOf } from '../rows'

/**
 * Harm that is borne in a lot between two looks, pieces: in a hundred as the household says, in more by their root, since
 * nobody goes through the same store four times as often for four times as many.
 */
export const bearableHarm = (pieces: number, pctOfHundred = 100 * bearableBadShare): number =>
  pctOfHundred * Math.sqrt(pieces / 100)

/**
 * Days until the next look: the earliest day on which the harm expected by then passes what the household bears.
 * A bad piece counts for the neighbours it will have spoilt, and they for theirs: those a look missed lie there all of
 * the time, those that go bad in the meantime a part of it. Intervals then shrink about with the root of the rate at
 * which pieces go bad, which for a given number of looks loses least.
 * @param pieces how many there are
 * @param spread new bad ones a week for each bad one
 * @param bearable harm the household bears before it wants to look, pieces
 * @param longestDays no look is put off further
 */
export function nextCheckInDays(
  model: LifeModel,
  belief: LotBelief,
  nowDay: number,
  pieces: number,
  spread: number,
  bearable = bearableHarm(pieces),
  longestDays: number = checkIntervalDays.hi,
): number {
  const { lo } = checkIntervalDays
  let missed = 0
  // what the coming weeks' bad ones will do to their neighbours changes slowly
  const runs = runningShares(model, nowDay, nowDay + 21)
  // of what is there, the share that may yet go and run, by the share of the sound that goes
  const now = soundShares(model, nowDay)
  const may = floatsOf(now.length, (j) => {
    const sound = now[j]!
    missed += belief.weights[j]! * belief.bad[j]!.running
    return sound > 1e-12 ? (belief.weights[j]! * (1 - badShare(belief.bad[j]!)) * runs[j]!) / sound : 0
  })
  const yet = (sound: Float64Array) => sound.reduce((sum, share, j) => sum + may[j]! * share, 0)
  const all = yet(now)
  const then = floats(now.length)
  const dueBy = (days: number): boolean => {
    const running = all - yet(soundShares(model, nowDay + days, then))
    // spoilt ones spoil others in turn until they have dried up: from the interval's start for the missed, on average for
    // the new
    const daily = spread / 7
    const growth = daily - 1 / runsForDays
    const x = Math.abs(growth * days) < 1e-6 ? 1e-6 : growth * days
    const byMissed = (daily * days * Math.expm1(x)) / x
    const byNew = (daily * days * (Math.expm1(x) - x)) / (x * x)
    const harm = pieces * (running * (ownHarm + byNew) + missed * byMissed)
    return harm >= bearable
  }
  // both grow with the days, so the first due day is found by halving
  let due = longestDays
  for (let early = lo; early < due;) {
    const mid = Math.floor((early + due) / 2)
    if (dueBy(mid)) due = mid
    else early = mid + 1
  }
  return due
}
