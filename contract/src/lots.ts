import { anyAct, asideReasons } from './acts'
import { ofHousehold } from './endpoint'
import { lotViews } from './households'
import {
  bool,
  civilDate,
  closed,
  instant,
  listOf,
  nullable,
  number,
  oneOf,
  optional,
  requestId,
  spreadOf,
  uuid,
  whole,
  words,
  type Static,
  told,
  ending,
} from './shapes'

export const stage = oneOf('drying', 'dryer', 'conditioning', 'fresh', 'stored', 'gone')
export type Stage = Static<typeof stage>

export const forms = ['fresh', 'dried', 'frozen', 'jarred', 'brined', 'cooked'] as const
export const form = oneOf(...forms)
/** what is counted besides pieces of a crop */
export const units = [
  'jar',
  'bag',
  'box',
  'portion',
  'bottle',
  'tin',
  'block',
  'roll',
  'net',
  'sack',
  'crate',
  'plait',
  'bunch',
  'head',
  'piece',
] as const
export const unit = oneOf(...units)
export const origins = ['grown', 'bought', 'given', 'caught', 'cooked'] as const

const lotFields = {
  code: words,
  crop: words,
  heap: words,
  fate: words,
  variety: nullable(words),
  bed: nullable(words),
  broughtOn: civilDate,
  /** to the minute, of what is here */
  broughtAt: optional(instant),
  stage,
  placeId: nullable(uuid),
  place: nullable(words),
  weightG: number,
  pieces: nullable(number),
  /** what of these nobody has weighed or counted yet */
  guessed: closed({ weight: bool, pieces: bool }),
  /** what it has been made into */
  form,
  /** of its own, where it is not simply its crop: “Braised red cabbage” */
  name: nullable(words),
  unit: nullable(unit),
  /** how much one holds, as the label says: “0.5 L” */
  size: nullable(words),
  source: oneOf(...origins),
  /** set aside to be used soon: why, and by when; null for what is not */
  aside: nullable(closed({ why: oneOf(...asideReasons, 'opened'), until: civilDate })),
  /** why it cannot be worked out; there only where it cannot */
  trouble: optional(told),
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
  says: told,
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
const keepsFields = { nineInTenUntil: spreadOf(civilDate), beyond: bool, endedBy: ending, overdueSince }
export { keepsFields, overdueSince }

export const keepingView = closed({
  overdueSince,
  nineInTenUntil: spreadOf(civilDate),
  halfUntil: spreadOf(civilDate),
  /** the horizon was reached: read “later than” */
  beyond: bool,
  curve: listOf(closed({ on: civilDate, p10: number, p50: number, p90: number })),
  endedBy: listOf(closed({ end: ending, share: number, why: told })),
  weightLossPctPerMonth: number,
  soundNow: number,
  nextCheckOn: civilDate,
  /** its dates stand on so many times the books' life, as this house has learnt from lots that are gone, or says of the variety */
  learnt: nullable(closed({ times: number, variety: nullable(words), lots: number, years: number })),
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
  reasons: listOf(told),
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
  says: nullable(told),
})
export type JarView = Static<typeof jarView>

export const lotView = closed({
  ...lotFields,
  dryer: nullable(dryerView),
  jar: nullable(jarView),
  /** a reminder somebody left on it */
  note: nullable(words),
  /** seed for sowing: what is likely to come up, spring by spring; null for what is no seed */
  seed: nullable(
    closed({
      species: words,
      kin: bool,
      test: nullable(closed({ on: civilDate, sown: number, came: number })),
      springs: listOf(closed({ on: civilDate, pct: number })),
      advice: oneOf('as-usual', 'thicker', 'sow-out'),
      source: words,
    }),
  ),
  /** it was made of other lots or bought things: what went in can be asked */
  made: bool,
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
  closed({ placeId: uuid, place: words, nineInTenUntil: civilDate, beyond: bool, endedBy: ending }),
)
export type Elsewhere = Static<typeof elsewhere>

export const actAnswer = closed({
  lot: lotRow,
  /** codes of lots made by a split */
  made: listOf(words),
  /** its last entry, by which it can be undone, and what that says */
  entry: number,
  says: told,
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

export const readMoved = ofHousehold('moved', {
  method: 'GET',
  path: '/lots/:code/moved',
  says: 'How a lot’s date has moved since last week, and what moved it; null where it has not.',
  answer: closed({
    moved: nullable(closed({ since: civilDate, was: civilDate, days: number, says: told })),
  }),
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
