import { ofHousehold } from './endpoint'
import { lotViews } from './households'
import {
  bool,
  civilDate,
  closed,
  listOf,
  nullable,
  number,
  optional,
  requestId,
  saying,
  textUpTo,
  uuid,
  whole,
  words,
  type Static,
  told,
} from './shapes'

const entry = whole(1, Number.MAX_SAFE_INTEGER)
const whyRight = saying(200)
const text = saying(500)
const putRight = closed({
  /** codes of the lots it touched */
  lots: listOf(words),
  /** by which it can be undone, and what it says */
  entry: number,
  says: told,
})
export type PutRight = Static<typeof putRight>
/** what follows it: the pick of the week and the marked beds too */
const rightViews = [...lotViews, 'last-harvests', 'marked-beds', 'picks'] as const

export const strikeEntry = ofHousehold('strike-entry', {
  method: 'POST',
  path: '/lots/:code/strike',
  says: 'Strikes out an entry of any day, with the act it was part of: the household is as if it had never been.',
  body: closed({ requestId, event: entry, why: whyRight }),
  answer: putRight,
  status: 201,
  stale: rightViews,
})

/** What an entry says instead. */
const restatement = {
  weightG: optional(whole(0, 2_000_000)),
  pieces: optional(whole(0, 100_000)),
  placeId: optional(uuid),
  on: optional(civilDate),
  cause: optional(text),
  text: optional(text),
}
export type Restatement = Static<ReturnType<typeof closed<typeof restatement>>>

export const restateEntry = ofHousehold('restate-entry', {
  method: 'POST',
  path: '/lots/:code/restate',
  says: 'Tells an entry otherwise: its weight, count, place, day or cause. What came after is worked out anew.',
  body: closed({ requestId, event: entry, why: whyRight, ...restatement }),
  answer: putRight,
  status: 201,
  stale: rightViews,
})

const label = {
  crop: optional(textUpTo(40)),
  variety: optional(nullable(textUpTo(60))),
  bed: optional(nullable(textUpTo(60))),
  heap: optional(textUpTo(40)),
  broughtOn: optional(civilDate),
}
const correction = { ...label, whole: bool, why: optional(whyRight) }
export type Correction = Static<ReturnType<typeof closed<typeof correction>>>

export const relabel = ofHousehold('relabel', {
  method: 'POST',
  path: '/lots/:code/label',
  says: 'Puts a tag right: crop, variety, bed, heap or day, of this lot or of its whole harvest.',
  body: closed({ requestId, ...correction }),
  answer: putRight,
  status: 201,
  stale: rightViews,
})

export const previewLabel = ofHousehold('preview-label', {
  method: 'GET',
  path: '/lots/:code/label',
  says: 'What would change with another crop, variety, heap or day: the dates as they are and as they would be. Nothing is done.',
  query: closed({
    crop: optional(textUpTo(40)),
    variety: optional(textUpTo(60)),
    heap: optional(textUpTo(40)),
    broughtOn: optional(civilDate),
  }),
  answer: closed({
    now: nullable(closed({ from: nullable(civilDate), to: nullable(civilDate), says: words })),
    then: nullable(closed({ from: nullable(civilDate), to: nullable(civilDate), says: words })),
  }),
})

export const strikeHarvest = ofHousehold('strike-harvest', {
  method: 'POST',
  path: '/lots/:code/strike-harvest',
  says: 'Strikes out the whole harvest a lot came with: all of its lots, with all that happened to them.',
  body: closed({ requestId, why: whyRight }),
  answer: putRight,
  status: 201,
  stale: rightViews,
})
