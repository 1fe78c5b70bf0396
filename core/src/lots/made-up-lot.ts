import { cropById } from '../almanac'
import { Refusal } from '../refusal'
import type { ActOutcome, LotAct } from './act'
import { perform } from './acts'
import { draft, type EventDraft, type LotEvent } from './event'
import { lotHistory } from './history'
import type { Entry } from './retell'

/** A made-up lot for tests: garlic brought in, hung a day later, in store on the third. */
export const garlic = cropById('garlic-hardneck')
export const day = 86_400_000

/** Entries a day apart. */
export const at = (drafts: readonly EventDraft[]): Entry[] =>
  drafts.map((one, i) => ({ ...one, atMs: i * day, id: i + 1 }))
export const hung = at([
  draft('brought-in', { weightG: 5000, pieces: 100 }),
  draft('hung', { placeId: 'veranda', details: { airflow: 'breezy', hungIn: 'bunch' } }),
])
export const stored = at([
  ...hung,
  draft('finished', { weightG: -1000, placeId: 'north', details: { neck: 'long', pack: 'net' } }),
])

export const done = (events: readonly LotEvent[], act: LotAct, crop = garlic): ActOutcome =>
  perform(act, { crop, lot: lotHistory(events), nowMs: 9 * day, airflowOf: () => 'still' })

/** The code an act is refused with, or “ok”. */
export function asked(events: readonly LotEvent[], act: LotAct, crop = garlic): string {
  try {
    done(events, act, crop)
    return 'ok'
  } catch (error) {
    if (error instanceof Refusal) return error.code
    throw error
  }
}
