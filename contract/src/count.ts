import { ofHousehold } from './endpoint'
import { lotViews } from './households'
import { lotFields } from './lots'
import {
  bool,
  closed,
  instant,
  listOf,
  nullable,
  number,
  ok,
  oneOf,
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

export const countCauses = ['eaten', 'given', 'lost', 'dried-out', 'found', 'miscounted', 'unknown'] as const
export type CountCause = (typeof countCauses)[number]

const counted = closed({
  /** as it was typed: “3x4+2”; “=” where it was as expected */
  typed: words,
  therePieces: nullable(number),
  thereG: nullable(number),
  /** what is there less what the books said then; in pieces where it was counted, else g */
  offPieces: nullable(number),
  offG: number,
  at: instant,
  cause: nullable(oneOf(...countCauses)),
  /** why it is likely off, best first, each with what speaks for it */
  proposals: listOf(closed({ cause: oneOf(...countCauses), why: told })),
})

export const countLine = closed({
  ...lotFields,
  /** “16 put up in July, 2 used” */
  since: told,
  counted: nullable(counted),
})
export type CountLine = Static<typeof countLine>

export const countView = closed({
  /** the count that is under way; null where none is */
  begunAt: nullable(instant),
  shelves: listOf(closed({ placeId: uuid, place: words, lines: listOf(countLine), lastAt: nullable(instant) })),
  /** how true the books were at each count, by weight, oldest first */
  truth: listOf(closed({ on: words, truePct: number, lines: number })),
  /** what the last count found gone that nobody could explain, g */
  unexplainedG: number,
})
export type CountView = Static<typeof countView>

export const readCount = ofHousehold('count', {
  method: 'GET',
  path: '/count',
  says: 'The shelves line by line with what the books say is there, and the count that is under way.',
  answer: countView,
})

export const countOne = ofHousehold('count-one', {
  method: 'POST',
  path: '/count/lines/:code',
  says: 'One line of the shelf counted; begins a count where none is under way.',
  body: closed({
    requestId,
    typed: textUpTo(40),
    /** one of the three */
    pieces: optional(whole(0, 100_000)),
    weightG: optional(whole(0, 2_000_000)),
    same: optional(bool),
  }),
  answer: ok,
  status: 201,
  stale: ['count'],
})

export const uncountOne = ofHousehold('uncount-one', {
  method: 'DELETE',
  path: '/count/lines/:code',
  says: 'A line to be counted again.',
  answer: ok,
  stale: ['count'],
})

export const finishCount = ofHousehold('finish-count', {
  method: 'POST',
  path: '/count/finish',
  says: 'Books what was found: each difference with its cause; the count is over.',
  body: closed({
    requestId,
    causes: listOf(closed({ code: saying(10), cause: oneOf(...countCauses) }), { maxItems: 2000 }),
  }),
  answer: closed({ booked: number, asExpected: number }),
  status: 201,
  stale: [...lotViews],
})
