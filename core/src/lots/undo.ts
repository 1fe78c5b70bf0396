import { draft, type EventDraft, type LotEvent } from './event'

/** The entries that stand: without those undone, and without the undoing. */
export function standing<E extends LotEvent>(events: readonly E[]): E[] {
  const undone = new Set(events.flatMap((e) => (e.kind === 'undone' ? [e.details.strikes] : [])))
  return undone.size === 0 ? [...events] : events.filter((e) => e.kind !== 'undone' && !undone.has(e.id))
}

/** Undoes entries, the last first: each by one of its own that takes back what it changed. */
export const undoing = (events: readonly (LotEvent & { id: number })[]): EventDraft[] =>
  events
    .map((e) =>
      // nothing is minus nothing
      draft('undone', { weightG: 0 - e.weightG, pieces: 0 - e.pieces, details: { strikes: e.id, of: e.kind } }),
    )
    .reverse()
