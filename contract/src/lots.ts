import { Unsafe } from 'typebox'
import { lotViews } from './households'
import { ofHousehold } from './endpoint'
import {
  between,
  bool,
  civilDate,
  closed,
  either,
  grams,
  instant,
  just,
  listOf,
  nullable,
  number,
  oneOf,
  optional,
  pieces,
  relativeHumidityPct,
  requestId,
  saying,
  spreadOf,
  textUpTo,
  uuid,
  whole,
  words,
  type Static,
} from './shapes'

const quantity = { pieces: optional(pieces), weightG: optional(grams) }
const text = saying(500)
const id = textUpTo(40)
const sure = optional(bool)

const grades = listOf(
  closed({ grade: oneOf('large', 'middling', 'small', 'seconds'), weightG: grams, pieces: optional(pieces) }),
  { minItems: 1, maxItems: 4 },
)
const airC = between(25, 80)

/** Everything that can be done with a lot; each leaves events in its ledger. */
export const acts = {
  weigh: closed({ requestId, act: just('weigh'), weightG: grams, basis: oneOf('lot', 'bunch'), sure }),
  test: closed({
    requestId,
    act: just('test'),
    results: listOf(closed({ test: id, passed: bool }), { minItems: 1, maxItems: 10 }),
  }),
  fan: closed({ requestId, act: just('fan'), on: bool }),
  move: closed({ requestId, act: just('move'), placeId: uuid }),
  finish: closed({
    requestId,
    act: just('finish'),
    neck: optional(id),
    pack: id,
    placeId: uuid,
    weightG: grams,
    pieces: optional(pieces),
    units: optional(whole(1, 500)),
    wasteG: optional(grams),
    grades: optional(grades),
    sure,
  }),
  check: closed({
    requestId,
    act: just('check'),
    lookedAt: pieces,
    faults: listOf(closed({ fault: id, pieces, action: id }), { maxItems: 20 }),
  }),
  use: closed({ requestId, act: just('use'), ...quantity }),
  lose: closed({ requestId, act: just('lose'), ...quantity, cause: text }),
  give: closed({ requestId, act: just('give'), ...quantity }),
  plant: closed({ requestId, act: just('plant'), ...quantity }),
  correct: closed({
    requestId,
    act: just('correct'),
    weightG: whole(0, 2_000_000),
    pieces: optional(whole(0, 100_000)),
    why: text,
  }),
  note: closed({ requestId, act: just('note'), text }),
  clean: closed({ requestId, act: just('clean'), step: oneOf('thresh', 'sieve', 'winnow'), weightG: grams }),
  load: closed({
    requestId,
    act: just('load'),
    takenG: optional(grams),
    weightG: grams,
    trays: whole(1, 60),
    airC,
    placeId: uuid,
    sure,
  }),
  strike: closed({ requestId, act: just('strike'), event: whole(1, 2 ** 53 - 1), why: text }),
  grade: closed({ requestId, act: just('grade'), grades }),
  rotate: closed({ requestId, act: just('rotate') }),
  jar: closed({ requestId, act: just('jar'), weightG: grams, sure }),
  shake: closed({
    requestId,
    act: just('shake'),
    beads: bool,
    mould: bool,
    jarHumidityPct: optional(relativeHumidityPct),
  }),
}

export type ActName = keyof typeof acts
export type Act = { [K in ActName]: Static<(typeof acts)[K]> }[ActName]
/** Which act it is; what it needs besides is checked by the act's own schema. */
const anyAct = Unsafe<Act>(either(Object.values(acts)))

export const stage = oneOf('drying', 'dryer', 'conditioning', 'fresh', 'stored', 'gone')
export type Stage = Static<typeof stage>

const lotFields = {
  code: words,
  crop: words,
  heap: words,
  fate: words,
  variety: nullable(words),
  bed: nullable(words),
  broughtOn: civilDate,
  stage,
  placeId: nullable(uuid),
  place: nullable(words),
  weightG: number,
  pieces: nullable(number),
  /** has been in the dehydrator */
  dried: bool,
  /** why it cannot be worked out; there only where it cannot */
  trouble: optional(words),
}
export const lotRow = closed(lotFields)
export type LotRow = Static<typeof lotRow>
export { lotFields }
export const troubledLots = listOf(lotRow)

export const lotEventView = closed({
  id: number,
  kind: words,
  at: instant,
  on: civilDate,
  weightG: number,
  pieces: number,
  place: nullable(words),
  /** in the household's words */
  says: words,
  /** a later entry strikes it out or undoes it */
  struck: bool,
  /** it is the last that stands, and can be undone */
  undoable: bool,
})
export type LotEventView = Static<typeof lotEventView>

/** the day its time was over, where nobody has looked since */
const overdueSince = nullable(civilDate)
const keepsFields = { nineInTenUntil: spreadOf(civilDate), beyond: bool, endedBy: words, overdueSince }
export { keepsFields, overdueSince }

export const keepingView = closed({
  overdueSince,
  nineInTenUntil: spreadOf(civilDate),
  halfUntil: spreadOf(civilDate),
  /** the horizon was reached: read “later than” */
  beyond: bool,
  curve: listOf(closed({ on: civilDate, p10: number, p50: number, p90: number })),
  endedBy: listOf(closed({ end: words, share: number, why: words })),
  weightLossPctPerMonth: number,
  soundNow: number,
  nextCheckOn: civilDate,
  lookAt: number,
})
export type KeepingView = Static<typeof keepingView>

const basis = nullable(oneOf('lot', 'bunch'))
const curingFields = {
  progress: number,
  /** null where the air ahead never gets it there */
  ready: spreadOf(nullable(civilDate)),
  readyNow: number,
  stalledHours: number,
  stalledForHours: number,
  mouldRiskHours: number,
  airflow: oneOf('still', 'breezy', 'fan'),
  reasons: listOf(words),
  /** what the last tests said that did not pass */
  testsFailed: listOf(words),
  basis,
  lastWeighedG: nullable(number),
  expectedG: nullable(number),
}
export const curingView = closed(curingFields)
export type CuringView = Static<typeof curingView>
export { basis, curingFields }

/** A load in the dehydrator. */
export const dryerView = closed({
  trays: number,
  airC: number,
  loadedAt: instant,
  targetG: number,
  moisturePct: number,
  progress: number,
  doneAt: spreadOf(instant),
  rotateAt: instant,
  rotated: bool,
  /** sent back by its jar */
  again: bool,
})
export type DryerView = Static<typeof dryerView>

/** A jar being conditioned. */
export const jarView = closed({
  day: number,
  of: number,
  shakenToday: bool,
  /** what the last look said */
  says: nullable(words),
})
export type JarView = Static<typeof jarView>

export const lotView = closed({
  ...lotFields,
  dryer: nullable(dryerView),
  jar: nullable(jarView),
  /** there is a picture at /lots/CODE/photo.jpg */
  pictured: bool,
  events: listOf(lotEventView),
  keeping: nullable(keepingView),
  curing: nullable(curingView),
  checks: listOf(closed({ on: civilDate, lookedAt: number, bad: number })),
})
export type LotView = Static<typeof lotView>

/** The other places a stored lot could go to, or all that what hangs could be taken down into; best first. */
export const elsewhere = listOf(
  closed({ placeId: uuid, place: words, nineInTenUntil: civilDate, beyond: bool, endedBy: words }),
)
export type Elsewhere = Static<typeof elsewhere>

export const actAnswer = closed({
  lot: lotRow,
  /** codes of lots made by a split */
  made: listOf(words),
  /** its last entry, by which it can be undone, and what that says */
  entry: number,
  says: words,
})
export type ActAnswer = Static<typeof actAnswer>

export const listLots = ofHousehold('lots', {
  method: 'GET',
  path: '/lots',
  says: 'Every lot that still holds something; with gone=yes those that do not.',
  query: closed({ gone: optional(oneOf('yes', 'no')) }),
  answer: listOf(lotRow),
})

export const readLot = ofHousehold('lot', {
  method: 'GET',
  path: '/lots/:code',
  says: 'A lot: its ledger, how it dries or keeps.',
  answer: lotView,
})

export const readElsewhere = ofHousehold('elsewhere', {
  method: 'GET',
  path: '/lots/:code/elsewhere',
  says: 'How a stored lot would keep in the other places of the house, or what hangs if it were taken down; best first.',
  answer: elsewhere,
})

export const actOnLot = ofHousehold('act', {
  method: 'POST',
  path: '/lots/:code/acts',
  says: 'Does something with a lot: weigh, test, move, finish, check, use and so on.',
  body: anyAct,
  answer: actAnswer,
  status: 201,
  stale: lotViews,
})

export const undoAct = ofHousehold('undo-act', {
  method: 'POST',
  path: '/lots/:code/undo',
  says: 'Undoes the last act on a lot, with all it wrote on other lots: named by its last entry here.',
  body: closed({ requestId, event: whole(1, Number.MAX_SAFE_INTEGER) }),
  answer: closed({
    /** codes of the lots it touched */
    undone: listOf(words),
  }),
  status: 201,
  stale: lotViews,
})
