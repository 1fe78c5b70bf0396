import type { AsideReason } from '../lots'
import { addDays, daysBetween, type CivilDate } from '../households'
import { grams, told, type Message, type Part } from '../message'
import { readyEnough, tasteEveryDays, testEveryDays, weighEveryDays } from '../assumptions'

export type JobKind =
  | 'weigh'
  | 'test'
  | 'take-down'
  | 'unstall'
  | 'check'
  | 'use'
  | 'read'
  | 'rotate'
  | 'turn'
  | 'take-out'
  | 'shake'
  | 'overdue'
  | 'look-bed'
  | 'cut-scapes'
  | 'lift'
  | 'plant'
  | 'seal'
  | 'taste'
  | 'mind'

export interface Job {
  kind: JobKind
  dueOn: CivilDate
  /** why it is due, and what to expect */
  why: Message
}

export interface DryingLot {
  hungOn: CivilDate
  lastWeighedOn: CivilDate | null
  lastTestedOn: CivilDate | null
  /** ready window in days of the household; null where the air ahead never gets it there */
  ready: { p10: CivilDate | null; p50: CivilDate | null }
  readyNow: number
  /** all end tests passed at the last look */
  testsPassed: boolean
  stalledForHours: number
  /** what its end tests feel: “neck, skins, roots” */
  feels: Part
  /** a healing skin says nothing by its weight, so it is not weighed */
  heals: boolean
  /** where it lies and is turned: how often, days, and when it last was (or was laid out) */
  turns: { everyDays: number; lastOn: CivilDate } | null
}

/**
 * Jobs a hanging lot asks for.
 * Weighed at the start and every four days; end tests from the early side of the window; taken down when the tests
 * pass or it is nearly certainly ready; looked after when the air stalls it.
 */
export function dryingJobs(lot: DryingLot, today: CivilDate): Job[] {
  const jobs: Job[] = []
  const day = daysBetween(lot.hungOn, today)
  if (lot.testsPassed || lot.readyNow >= readyEnough) {
    return [
      {
        kind: 'take-down',
        // it has been due since it was ready, not since today
        dueOn: lot.ready.p50 !== null && lot.ready.p50 < today ? lot.ready.p50 : today,
        why: lot.testsPassed ? told('round.passed', { feels: lot.feels }) : told('round.readyByItsAir'),
      },
    ]
  }
  const weigh: Job =
    lot.lastWeighedOn === null
      ? { kind: 'weigh', dueOn: lot.hungOn, why: told('round.firstWeighing') }
      : {
          kind: 'weigh',
          dueOn: addDays(lot.lastWeighedOn, weighEveryDays),
          why: told('round.lastWeighed', { day, ago: daysAgo(lot.lastWeighedOn, today) }),
        }
  if (!lot.heals) jobs.push(weigh)
  if (lot.ready.p10 !== null) {
    // what was due on an earlier day stays due since then
    const from = lot.ready.p10 < lot.hungOn ? lot.hungOn : lot.ready.p10
    const again = lot.lastTestedOn ? addDays(lot.lastTestedOn, testEveryDays) : from
    jobs.push({
      kind: 'test',
      dueOn: again > from ? again : from,
      why: told('round.mayBeReady', { feels: lot.feels }),
    })
  }
  if (lot.turns) {
    jobs.push({
      kind: 'turn',
      dueOn: addDays(lot.turns.lastOn, lot.turns.everyDays),
      why: told('round.turn', { days: lot.turns.everyDays }),
    })
  }
  if (lot.stalledForHours >= 24) {
    const since = addDays(today, 1 - Math.floor(lot.stalledForHours / 24))
    jobs.push({
      kind: 'unstall',
      dueOn: since < lot.hungOn ? lot.hungOn : since,
      why: told('round.stalled', { days: Math.floor(lot.stalledForHours / 24), heals: lot.heals ? 'yes' : 'no' }),
    })
  } else if (lot.ready.p50 === null) {
    jobs.push({
      kind: 'unstall',
      dueOn: lot.hungOn,
      why: told('round.neverThere', { heals: lot.heals ? 'yes' : 'no' }),
    })
  }
  return jobs
}

export interface DryerLot {
  /** when the trays change places, and the load is likely done: dates, and times of day in words */
  rotateOn: CivilDate
  rotateAt: string
  rotated: boolean
  doneOn: CivilDate
  doneBetween: readonly [from: string, to: string]
  /** weight at which it is done, g */
  targetG: number
}

/** Jobs a load in the dehydrator asks for. */
export function dryerJobs(lot: DryerLot): Job[] {
  const out: Job = {
    kind: 'take-out',
    dueOn: lot.doneOn,
    why: told('round.done', { weight: grams(lot.targetG), from: lot.doneBetween[0], to: lot.doneBetween[1] }),
  }
  return lot.rotated
    ? [out]
    : [{ kind: 'rotate', dueOn: lot.rotateOn, why: told('round.rotate', { at: lot.rotateAt }) }, out]
}

/** A conditioning jar is shaken every day until its week is over. */
export const jarJob = (day: number, of: number, dueOn: CivilDate): Job => ({
  kind: 'shake',
  dueOn,
  why: told('round.shake', { day: Math.min(day, of), of }),
})

/** How long ago a day was. */
const daysAgo = (on: CivilDate, today: CivilDate): Message => told('round.ago', { days: daysBetween(on, today) })

export interface StoredLot {
  storedOn: CivilDate
  lastCheckedOn: CivilDate | null
  /** days the model gives from the last look, or from today if none */
  checkInDays: number
  lookAt: number
  /** the last look found too many bad ones to leave it at a sample */
  goThroughAll: boolean
  pieces: number | null
}

/** Jobs a stored lot asks for: the next look, and how many to look at. */
export function storedJobs(lot: StoredLot, today: CivilDate): Job[] {
  const from = lot.lastCheckedOn ?? lot.storedOn
  if (lot.goThroughAll) return [{ kind: 'check', dueOn: from, why: told('round.goThroughAll') }]
  const last = lot.lastCheckedOn
    ? told('round.lastLookedOver', { ago: daysAgo(lot.lastCheckedOn, today) })
    : told('round.firstLook')
  return [
    {
      kind: 'check',
      dueOn: addDays(from, Math.max(1, lot.checkInDays)),
      why: lot.pieces ? told('round.lookAt', { last, lookAt: lot.lookAt, pieces: lot.pieces }) : last,
    },
  ]
}

/** What has outlived its time asks what became of it, dated when that was. */
export const overdueJob = (since: CivilDate, lastLookedOn: CivilDate | null, today: CivilDate): Job => ({
  kind: 'overdue',
  dueOn: since,
  why: told('round.overdue', {
    ago: daysAgo(since, today),
    looked: lastLookedOn ? 'yes' : 'no',
    last: lastLookedOn && daysAgo(lastLookedOn, today),
  }),
})

/** A heap that will not keep, or what was set aside: using it up is a job from the first day, urgent in its last third. */
export function useUpJob(from: CivilDate, withinDays: number, today: CivilDate, what?: AsideReason): Job {
  const left = withinDays - daysBetween(from, today)
  return {
    kind: 'use',
    // what was set aside is on the list from its first day
    dueOn: what ? from : addDays(from, Math.floor((withinDays * 2) / 3)),
    why:
      left <= 0
        ? told('round.timeIsOver')
        : what
          ? told('round.setAside', { why: what, left })
          : told('round.willNotKeep', { left }),
  }
}

/** A lid that was not drawn in shows within a day; later nobody knows since when. */
export const sealJob = (jarredOn: CivilDate, jars: number | null): Job => ({
  kind: 'seal',
  dueOn: addDays(jarredOn, 1),
  why: told('round.seal', { counted: jars ? 'yes' : 'no', jars }),
})

export const tasteJob = (saltedOn: CivilDate, afterDays: number, lastOn: CivilDate | null, today: CivilDate): Job => ({
  kind: 'taste',
  dueOn: lastOn ? addDays(lastOn, tasteEveryDays) : addDays(saltedOn, afterDays),
  why: told('round.taste', { day: daysBetween(saltedOn, today) }),
})

/** What somebody wrote on a line, to be told on a day. */
export const mindJob = (mindOn: CivilDate, text: string): Job => ({
  kind: 'mind',
  dueOn: mindOn,
  why: told('round.minded', { text }),
})
