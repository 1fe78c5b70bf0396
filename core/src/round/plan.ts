import { addDays, daysBetween, type CivilDate } from '../households'

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
  why: string
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
  /** what its end tests feel, in words: “neck, skins, roots” */
  feels: string
  /** a healing skin says nothing by its weight, so it is not weighed */
  heals: boolean
  /** where it lies and is turned: how often, days, and when it last was (or was laid out) */
  turns: { everyDays: number; lastOn: CivilDate } | null
}

const weighEveryDays = 4
const testEveryDays = 2

/**
 * Jobs a hanging lot asks for.
 * Weighed at the start and every four days; end tests from the early side of the window; taken down when the tests
 * pass or it is nearly certainly ready; looked after when the air stalls it.
 */
export function dryingJobs(lot: DryingLot, today: CivilDate): Job[] {
  const jobs: Job[] = []
  const day = daysBetween(lot.hungOn, today)
  if (lot.testsPassed || lot.readyNow >= 0.9) {
    return [
      {
        kind: 'take-down',
        // it has been due since it was ready, not since today
        dueOn: lot.ready.p50 !== null && lot.ready.p50 < today ? lot.ready.p50 : today,
        why: lot.testsPassed
          ? `Passed: ${lot.feels}.`
          : 'By the air it has had, it is ready: test one and take it down.',
      },
    ]
  }
  const weigh: Job =
    lot.lastWeighedOn === null
      ? { kind: 'weigh', dueOn: lot.hungOn, why: 'First weighing: the ones after it are measured against this.' }
      : {
          kind: 'weigh',
          dueOn: addDays(lot.lastWeighedOn, weighEveryDays),
          why: `Day ${day}, last weighed ${daysAgo(lot.lastWeighedOn, today)}.`,
        }
  if (!lot.heals) jobs.push(weigh)
  if (lot.ready.p10 !== null) {
    // what was due on an earlier day stays due since then
    const from = lot.ready.p10 < lot.hungOn ? lot.hungOn : lot.ready.p10
    const again = lot.lastTestedOn ? addDays(lot.lastTestedOn, testEveryDays) : from
    jobs.push({
      kind: 'test',
      dueOn: again > from ? again : from,
      why: `It may be ready: try ${lot.feels}.`,
    })
  }
  if (lot.turns) {
    jobs.push({
      kind: 'turn',
      dueOn: addDays(lot.turns.lastOn, lot.turns.everyDays),
      why: `Every ${lot.turns.everyDays} days: what lies on the underside dries last.`,
    })
  }
  if (lot.stalledForHours >= 24) {
    const since = addDays(today, 1 - Math.floor(lot.stalledForHours / 24))
    jobs.push({
      kind: 'unstall',
      dueOn: since < lot.hungOn ? lot.hungOn : since,
      why: lot.heals
        ? `Stalled for ${Math.floor(lot.stalledForHours / 24)} days: too cold or too hot for skin to heal; a milder place would help.`
        : `Stalled for ${Math.floor(lot.stalledForHours / 24)} days in damp air: a fan or another place would help.`,
    })
  } else if (lot.ready.p50 === null) {
    jobs.push({
      kind: 'unstall',
      dueOn: lot.hungOn,
      why: lot.heals
        ? 'In the air to be expected here its skin will not heal: a milder place would help.'
        : 'In the air to be expected here it will not get dry: a fan or another place would help.',
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
  doneBetween: string
  /** weight at which it is done, in words */
  target: string
}

/** Jobs a load in the dehydrator asks for. */
export function dryerJobs(lot: DryerLot): Job[] {
  const out: Job = {
    kind: 'take-out',
    dueOn: lot.doneOn,
    why: `Done at ${lot.target}, likely ${lot.doneBetween}.`,
  }
  return lot.rotated
    ? [out]
    : [{ kind: 'rotate', dueOn: lot.rotateOn, why: `Half way about ${lot.rotateAt}: the trays dry unevenly.` }, out]
}

/** A conditioning jar is shaken every day until its week is over. */
export const jarJob = (day: number, of: number, dueOn: CivilDate): Job => ({
  kind: 'shake',
  dueOn,
  why: `Day ${Math.min(day, of)} of ${of}: look for beads on the glass.`,
})

/** How long ago a day was, in words. */
function daysAgo(on: CivilDate, today: CivilDate): string {
  const days = daysBetween(on, today)
  return days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`
}

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
  if (lot.goThroughAll)
    return [{ kind: 'check', dueOn: from, why: 'More than a quarter were bad: go through all of it.' }]
  const last = lot.lastCheckedOn
    ? `Last looked over ${daysAgo(lot.lastCheckedOn, today)}.`
    : 'First look since it was stored: what came in hurt shows now.'
  return [
    {
      kind: 'check',
      dueOn: addDays(from, Math.max(1, lot.checkInDays)),
      why: last + (lot.pieces ? ` Look at ${lot.lookAt} of ${lot.pieces}.` : ''),
    },
  ]
}

/** What has outlived its time asks what became of it, dated when that was. */
export const overdueJob = (since: CivilDate, lastLookedOn: CivilDate | null, today: CivilDate): Job => ({
  kind: 'overdue',
  dueOn: since,
  why: `Nine in ten were good until then, ${daysAgo(since, today)}; ${
    lastLookedOn ? `the last look was ${daysAgo(lastLookedOn, today)}` : 'nobody has looked yet'
  }.`,
})

/** A heap that will not keep, or what was set aside: using it up is a job from the first day, urgent in its last third. */
export function useUpJob(from: CivilDate, withinDays: number, today: CivilDate, what?: string): Job {
  const left = withinDays - daysBetween(from, today)
  return {
    kind: 'use',
    // what was set aside is on the list from its first day
    dueOn: what ? from : addDays(from, Math.floor((withinDays * 2) / 3)),
    why:
      left > 0
        ? what
          ? `Set aside, ${what}: ${left} ${left === 1 ? 'day' : 'days'} left.`
          : `Will not keep: ${left} ${left === 1 ? 'day' : 'days'} left.`
        : 'Its time is over: use what is good today.',
  }
}

/** A lid that was not drawn in shows within a day; later nobody knows since when. */
export const sealJob = (jarredOn: CivilDate, jars: number | null): Job => ({
  kind: 'seal',
  dueOn: addDays(jarredOn, 1),
  why: `Press every lid${jars ? ` of the ${jars}` : ''}: it does not give, and lifts with the jar. Today one that gives can still go into the fridge.`,
})

/** A ferment is tasted every few days from a day on, until it goes into the cold. Common practice, no source. */
const tasteEveryDays = 3
export const tasteJob = (saltedOn: CivilDate, afterDays: number, lastOn: CivilDate | null, today: CivilDate): Job => ({
  kind: 'taste',
  dueOn: lastOn ? addDays(lastOn, tasteEveryDays) : addDays(saltedOn, afterDays),
  why: `Day ${daysBetween(saltedOn, today)}: sour enough, and it goes into the cold. Everything under the brine, no slime, no coloured mould.`,
})

/** What somebody wrote on a line, to be told on a day. */
export const mindJob = (mindOn: CivilDate, text: string): Job => ({ kind: 'mind', dueOn: mindOn, why: text })
