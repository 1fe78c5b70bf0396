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

/** Why something is set aside, where what nobody eats goes, and what a lot poured out is sorted into. */
export const asideReasons = ['eat-first', 'cut-round', 'cook', 'freeze', 'dry', 'juice'] as const
export const endings = ['compost', 'bin', 'burn'] as const
const gradeNames = ['large', 'middling', 'small', 'seconds'] as const
export const sortFates = ['store', ...asideReasons, 'plant', ...gradeNames, 'use', 'feed', 'give', ...endings] as const

const grades = listOf(closed({ grade: oneOf(...gradeNames), weightG: grams, pieces: optional(pieces) }), {
  minItems: 1,
  maxItems: 4,
})
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
  thin: closed({ requestId, act: just('thin') }),
  move: closed({ requestId, act: just('move'), placeId: uuid, ...quantity }),
  hang: closed({
    requestId,
    act: just('hang'),
    placeId: uuid,
    hungIn: optional(oneOf('bunch', 'plait', 'rack', 'bag', 'sheet', 'box')),
  }),
  finish: closed({
    requestId,
    act: just('finish'),
    neck: optional(id),
    pack: id,
    placeId: uuid,
    weightG: grams,
    pieces: optional(pieces),
    ofG: optional(grams),
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
  lose: closed({ requestId, act: just('lose'), ...quantity, cause: text, to: optional(oneOf(...endings)) }),
  feed: closed({ requestId, act: just('feed'), ...quantity, to: saying(40) }),
  sort: closed({
    requestId,
    act: just('sort'),
    heaps: listOf(
      closed({
        fate: oneOf(...sortFates),
        weightG: optional(whole(0, 2_000_000)),
        pieces: optional(whole(0, 100_000)),
        placeId: optional(uuid),
        days: optional(whole(1, 400)),
        fault: optional(id),
        to: optional(saying(40)),
      }),
      { minItems: 1, maxItems: 40 },
    ),
    rest: oneOf('store', 'missing'),
    sure,
  }),
  tag: closed({ requestId, act: just('tag') }),
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
  /** set aside to be used soon: why, and by when; null for what is not */
  aside: nullable(closed({ why: oneOf(...asideReasons), until: civilDate })),
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
  /** the lot it split off or came from */
  other: nullable(words),
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
  /** since when its tag says something else than the last one printed */
  tagSince: nullable(civilDate),
  /** taken down, it can go back on the line */
  hangsAgain: bool,
  /** the lots brought in with it, this one too */
  harvest: listOf(words),
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

const entry = whole(1, Number.MAX_SAFE_INTEGER)
const whyRight = saying(200)
const putRight = closed({
  /** codes of the lots it touched */
  lots: listOf(words),
  /** by which it can be undone, and what it says */
  entry: number,
  says: words,
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
  says: 'What would change with another crop, heap or day: the dates as they are and as they would be. Nothing is done.',
  query: closed({ crop: optional(textUpTo(40)), heap: optional(textUpTo(40)), broughtOn: optional(civilDate) }),
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
