import { Unsafe } from 'typebox'
import {
  between,
  bool,
  civilDate,
  closed,
  either,
  grams,
  just,
  listOf,
  oneOf,
  optional,
  pieces,
  relativeHumidityPct,
  requestId,
  saying,
  textUpTo,
  uuid,
  whole,
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
    /** nobody weighed it: the weight is a guess until it is */
    guessed: optional(bool),
    grades: optional(grades),
    sure,
  }),
  check: closed({
    requestId,
    act: just('check'),
    lookedAt: pieces,
    faults: listOf(closed({ fault: id, pieces, action: id }), { maxItems: 20 }),
  }),
  freeze: closed({
    requestId,
    act: just('freeze'),
    takenG: optional(grams),
    pieces: optional(pieces),
    weightG: grams,
    bags: optional(whole(1, 500)),
    pack: optional(oneOf('bag', 'box', 'vacuum', 'mould')),
    prepared: saying(60),
    placeId: uuid,
    sure,
  }),
  use: closed({
    requestId,
    act: just('use'),
    ...quantity,
    kept: optional(
      listOf(closed({ what: oneOf('peelings', 'seed'), weightG: optional(grams) }), { minItems: 1, maxItems: 2 }),
    ),
  }),
  open: closed({ requestId, act: just('open'), placeId: optional(uuid) }),
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
        all: optional(bool),
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
  plant: closed({ requestId, act: just('plant'), ...quantity, bed: optional(textUpTo(60)) }),
  correct: closed({
    requestId,
    act: just('correct'),
    weightG: whole(0, 2_000_000),
    pieces: optional(whole(0, 100_000)),
    why: text,
  }),
  germinate: closed({ requestId, act: just('germinate'), sown: whole(1, 1000), came: whole(0, 1000) }),
  judge: closed({ requestId, act: just('judge'), verdict: oneOf('more', 'same', 'never') }),
  note: closed({ requestId, act: just('note'), text, mindOn: optional(civilDate) }),
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
export const anyAct = Unsafe<Act>(either(Object.values(acts)))
