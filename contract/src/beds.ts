import { ofHousehold } from './endpoint'
import { lotViews } from './households'
import {
  between,
  bool,
  civilDate,
  closed,
  cropId,
  grams,
  listOf,
  nullable,
  number,
  ok,
  oneOf,
  optional,
  pieces,
  requestId,
  saying,
  textUpTo,
  uuid,
  words,
  type Static,
  told,
} from './shapes'

export const bedSigns = [
  'planted',
  'sign',
  'scapes',
  'scapes-cut',
  'tried',
  'unwatered',
  'watered',
  'tops-bent',
  'cleared',
] as const
export const growsIn = ['bed', 'pot', 'roofed'] as const
const what = oneOf(...bedSigns)
const where = oneOf(...growsIn)

export const newBedEntry = closed({
  requestId,
  crop: cropId,
  variety: optional(textUpTo(60)),
  bed: saying(60),
  growsIn: where,
  /** today, where no day is given */
  on: optional(civilDate),
  what,
  value: optional(between(0, 20)),
  pieces: optional(pieces),
  weightG: optional(grams),
})
export type NewBedEntry = Static<typeof newBedEntry>

const window = closed({ from: civilDate, to: civilDate })

/** What grows in a bed, what was seen of it, and what that comes to. */
export const standView = closed({
  key: words,
  crop: words,
  variety: nullable(words),
  bed: words,
  growsIn: where,
  plantedOn: nullable(civilDate),
  planted: closed({ weightG: number, pieces: number }),
  from: listOf(words),
  over: bool,
  lifted: listOf(closed({ on: civilDate, weightG: number, pieces: number })),
  /** newest first */
  entries: listOf(closed({ id: uuid, on: civilDate, what, value: nullable(number), says: told })),
  verdict: nullable(
    closed({
      state: oneOf('wait', 'lift', 'late', 'unknown'),
      window: nullable(window),
      day: nullable(civilDate),
      says: listOf(told),
      next: nullable(closed({ what: oneOf('look', 'cut-scapes', 'lift'), on: civilDate, why: told })),
    }),
  ),
})
export type StandView = Static<typeof standView>

export const listBeds = ofHousehold('beds', {
  method: 'GET',
  path: '/beds',
  says: 'What grows in the beds, with what was seen there and when to lift it.',
  answer: listOf(standView),
})

export const addBedEntry = ofHousehold('add-bed-entry', {
  method: 'POST',
  path: '/beds/entries',
  says: 'Something seen or done at a bed.',
  body: newBedEntry,
  answer: closed({ id: uuid }),
  status: 201,
  stale: lotViews,
})

export const strikeBedEntry = ofHousehold('strike-bed-entry', {
  method: 'PUT',
  path: '/beds/entries/:id/struck',
  says: 'Strikes out what was written down at a bed, or takes that back.',
  body: closed({ struck: bool }),
  answer: ok,
  stale: lotViews,
})
