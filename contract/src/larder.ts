import { ofHousehold } from './endpoint'
import { lotViews } from './households'
import { form, lotFields, origins, overdueSince, troubledLots, unit } from './lots'
import {
  bool,
  civilDate,
  closed,
  cropId,
  grams,
  listOf,
  nullable,
  number,
  oneOf,
  optional,
  pieces,
  requestId,
  saying,
  spreadOf,
  textUpTo,
  uuid,
  whole,
  words,
  type Static,
  told,
} from './shapes'

export const larderLot = closed({
  ...lotFields,
  piecesAtFirst: nullable(number),
  weightAtFirstG: number,
  /** share of each kilo that would be lost in the coming fortnight */
  lossAvoidedPerKg: number,
  keepsUntil: civilDate,
  beyond: bool,
  overdueSince,
  why: told,
  /** a reminder somebody left on it */
  note: nullable(words),
  /** whether it earned its shelf, once somebody said */
  verdict: nullable(oneOf('more', 'same', 'never')),
  /** the days it has been there without anybody taking of it; null where somebody has */
  untouchedDays: nullable(number),
})
export type LarderLot = Static<typeof larderLot>

/** how a crop lasts to its next harvest, of all there is of it */
export const lastsFields = {
  lasts: nullable(oneOf('short', 'right', 'too-much')),
  /** the week nothing is left, before the next crop; null where there is none */
  gapFrom: nullable(civilDate),
  nextCropOn: nullable(civilDate),
}

export const larderView = closed({
  /** lots that cannot be worked out, each with why */
  troubled: troubledLots,
  /** soonest lost first */
  lots: listOf(larderLot),
  /** what can be relied on: what has outlived its time, and nobody has looked at since, is apart */
  totals: listOf(
    closed({
      crop: words,
      /** of its own, where the line is not simply its crop */
      name: nullable(words),
      weightG: number,
      pieces: number,
      /** of the weight: what nobody counted where others were, what is dried, and what is frozen */
      uncountedG: number,
      driedG: number,
      frozenG: number,
      /** in jars, in brine, cooked */
      otherG: number,
      overdueG: number,
    }),
  ),
  runOut: listOf(
    closed({
      crop: words,
      name: nullable(words),
      perWeekG: nullable(spreadOf(number)),
      runsOutOn: nullable(spreadOf(civilDate)),
      keepsUntil: nullable(civilDate),
      ...lastsFields,
    }),
  ),
  weightG: number,
  /** so that as little as possible is lost in the coming week: one pot a day, soonest needed first */
  week: closed({
    pots: listOf(closed({ on: civilDate, code: words, useG: number, savesG: number })),
    savedG: number,
    /** what would be lost in a fortnight if nobody ate anything */
    atRiskG: number,
  }),
})
export type LarderView = Static<typeof larderView>

export const readLarder = ofHousehold('larder', {
  method: 'GET',
  path: '/larder',
  says: 'What there is to eat, soonest lost first, and how long it lasts at the pace it is used.',
  answer: larderView,
})

/** A line of what stands on the shelf: found there, bought, given, made elsewhere. */
export const stockLine = closed({
  crop: cropId,
  name: optional(saying(60)),
  form,
  source: oneOf(...origins),
  unit: optional(unit),
  pieces: optional(pieces),
  weightG: optional(grams),
  size: optional(textUpTo(20)),
  placeId: uuid,
  /** the day it was put by; today where left out */
  on: optional(civilDate),
  prepared: optional(textUpTo(60)),
  recipe: optional(textUpTo(80)),
  processed: optional(textUpTo(80)),
  variety: optional(textUpTo(60)),
  /** the date on the packet */
  bestBefore: optional(civilDate),
  lifeDays: optional(whole(1, 4000)),
  tasteAfterDays: optional(whole(1, 90)),
  note: optional(textUpTo(300)),
})
export type NewStockLine = Static<typeof stockLine>

export const addStock = ofHousehold('add-stock', {
  method: 'POST',
  path: '/larder/stock',
  says: 'Puts lines on the shelf that were not brought in here: found, bought, given, jars, what was there already.',
  body: closed({ requestId, lines: listOf(stockLine, { minItems: 1, maxItems: 200 }) }),
  answer: closed({ lots: listOf(closed({ code: words, weightG: number })) }),
  status: 201,
  stale: lotViews,
})
