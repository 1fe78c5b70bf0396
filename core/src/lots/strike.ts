import { Refusal } from '../refusal'
import { draft, type EventDraft, type LotEvent } from './event'
import { struckIn } from './history'
import { standing } from './undo'

/**
 * What a weighing changes: a whole lot stands at what the scale shows, a marked bunch stands for the lot by the share of
 * its own weight that has gone since it was first weighed.
 * @param earlierG what the scale showed of the same the last time
 */
export function weighingChangeG(
  nowG: number,
  scaleG: number,
  basis: 'lot' | 'bunch',
  earlierG: number | undefined,
): number {
  if (basis === 'lot') return scaleG - nowG
  return earlierG ? Math.max(Math.round(nowG * (scaleG / earlierG)) - nowG, 1 - nowG) : 0
}

/** Grams the lot would stand at if some of its weighings had not been written. */
function weightWithoutG(events: readonly LotEvent[], struck: ReadonlySet<number>): number {
  const last: Partial<Record<'lot' | 'bunch', number>> = {}
  let weightG = 0
  for (const e of standing(events)) {
    const { scaleG, basis = 'lot', strikes } = e.details
    if (strikes !== undefined) continue
    if (e.kind !== 'weighed' || !scaleG) {
      weightG += e.weightG
      // weighings made with straw on say nothing of the grain
      if (e.kind === 'cleaned') delete last.bunch
      continue
    }
    if (struck.has(e.id ?? -1)) continue
    weightG += weighingChangeG(weightG, scaleG, basis, last[basis])
    last[basis] = scaleG
  }
  return weightG
}

/**
 * Strikes out a weighing that was wrong: an entry of its own that puts the lot where it would stand without it.
 * @throws Refusal `not-found`, `invalid` for what is no weighing or struck out already
 */
export function strikeOut(events: readonly LotEvent[], id: number, why: string): EventDraft {
  const entry = events.find((e) => e.id === id)
  if (!entry) throw new Refusal('not-found', 'There is no such entry of this lot.', 'event')
  if (entry.kind !== 'weighed') {
    throw new Refusal('invalid', 'Only a weighing can be struck out; put other entries right with Correct.', 'event')
  }
  const struck = struckIn(events)
  if (struck.has(id)) throw new Refusal('invalid', 'It is struck out already.', 'event')
  const now = events.reduce((sum, e) => sum + e.weightG, 0)
  return draft('corrected', {
    weightG: Math.max(1, weightWithoutG(events, struck.add(id))) - now,
    details: { strikes: id, why },
  })
}
