import type { CleaningStep, HungIn } from '../almanac'

/** What can happen to a lot. Rows of these are only ever added. */
export type EventKind =
  | 'brought-in'
  | 'hung'
  | 'weighed'
  | 'tested'
  | 'fan'
  | 'finished'
  | 'split-out'
  | 'split-in'
  | 'moved'
  | 'checked'
  | 'used'
  | 'lost'
  | 'given'
  | 'planted'
  | 'corrected'
  | 'noted'
  | 'cleaned'
  | 'loaded'
  | 'rotated'
  | 'jarred'
  | 'shaken'
  | 'undone'

/** An event about to be written. Changes are whole grams and pieces; the lot's quantity is their sum. */
export interface EventDraft {
  kind: EventKind
  weightG: number
  pieces: number
  placeId: string | null
  details: EventDetails
}

export interface LotEvent extends EventDraft {
  atMs: number
  /** its number in the ledger; events not yet written have none */
  id?: number
  /** an act here wrote it, which can be undone: it came with no file */
  acted?: boolean
}

export interface EventDetails {
  /** what the scale showed, g, and of what */
  scaleG?: number
  basis?: 'lot' | 'bunch'
  results?: { test: string; passed: boolean }[]
  airflow?: 'still' | 'breezy' | 'fan'
  /** how it was hung or spread */
  hungIn?: HungIn
  /** the entry this one strikes out or undoes, and what kind that was */
  strikes?: number
  of?: EventKind
  neck?: string
  pack?: string
  units?: number
  wasteG?: number
  lookedAt?: number
  bad?: number
  lotSize?: number
  faults?: { fault: string; pieces: number; action: string }[]
  fault?: string
  cause?: string
  code?: string
  text?: string
  why?: string
  /** what was done to clean it */
  step?: CleaningStep
  /** dehydrator: trays and the air it is set to */
  trays?: number
  airC?: number
  /** conditioning jar */
  beads?: boolean
  mould?: boolean
  jarHumidityPct?: number
  /** where a split-off lot stands, if not in store */
  stage?: 'fresh'
}

export const draft = (kind: EventKind, rest: Partial<Omit<EventDraft, 'kind'>> = {}): EventDraft => ({
  kind,
  weightG: 0,
  pieces: 0,
  placeId: null,
  details: {},
  ...rest,
})
