import type { LotEvent, Telling } from './event'

/** Numbers of the entries that later ones undo; one that undoes can be undone itself. */
export function undoneIn(events: readonly LotEvent[]): Set<number> {
  const undone = new Set<number>()
  for (let i = events.length - 1; i >= 0; i--) {
    const { kind, id, details } = events[i]!
    if (kind === 'undone' && details.strikes !== undefined && !(id !== undefined && undone.has(id))) {
      undone.add(details.strikes)
    }
  }
  return undone
}

/** Entries that speak of other entries, and of nothing that happened to the lot itself. */
const aboutOthers = (e: LotEvent) => e.kind === 'undone' || e.kind === 'restated'

/** The entries that stand, as they are told now: without those undone, the restated in their new words and in their place by time. */
export function standing<E extends LotEvent>(events: readonly E[]): E[] {
  if (!events.some(aboutOthers)) return [...events]
  const undone = undoneIn(events)
  const stands = (e: E) => e.id === undefined || !undone.has(e.id)
  const instead = new Map<number, Telling>()
  for (const { kind, id, details } of events) {
    if (kind !== 'restated' || (id !== undefined && undone.has(id))) continue
    if (details.strikes !== undefined && details.instead) instead.set(details.strikes, details.instead)
  }
  const told: E[] = []
  for (const e of events) {
    if (aboutOthers(e) || !stands(e)) continue
    const words = e.id === undefined ? undefined : instead.get(e.id)
    if (!words) told.push(e)
    else insertByTime(told, { ...e, ...words }, words.atMs === e.atMs)
  }
  return told
}

function insertByTime<E extends LotEvent>(told: E[], e: E, sameTime: boolean): void {
  let at = told.length
  // what came in first stays first
  if (!sameTime) while (at > 1 && told[at - 1]!.atMs > e.atMs) at--
  told.splice(at, 0, e)
}

/** The last act that can be undone: not one that was, and no undoing but one with a reason. */
export function lastActed<E extends LotEvent>(events: readonly E[]): E | undefined {
  const undone = undoneIn(events)
  return events.findLast(
    (e) => !(e.id !== undefined && undone.has(e.id)) && (e.kind !== 'undone' || e.details.why !== undefined),
  )
}
