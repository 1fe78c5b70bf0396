import { ofHousehold } from './endpoint'
import { lotFields } from './lots'
import { bool, civilDate, closed, listOf, nullable, number, spreadOf, words, type Static } from './shapes'

export const larderLot = closed({
  ...lotFields,
  piecesAtFirst: nullable(number),
  weightAtFirstG: number,
  /** share of each kilo that would be lost in the coming fortnight */
  lossAvoidedPerKg: number,
  keepsUntil: civilDate,
  beyond: bool,
  why: words,
})
export type LarderLot = Static<typeof larderLot>

export const larderView = closed({
  /** soonest lost first */
  lots: listOf(larderLot),
  totals: listOf(closed({ crop: words, weightG: number, pieces: number })),
  runOut: listOf(
    closed({
      crop: words,
      perWeekG: nullable(spreadOf(number)),
      runsOutOn: nullable(spreadOf(civilDate)),
      keepsUntil: nullable(civilDate),
    }),
  ),
  weightG: number,
})
export type LarderView = Static<typeof larderView>

export const readLarder = ofHousehold('larder', {
  method: 'GET',
  path: '/larder',
  says: 'What there is to eat, soonest lost first, and how long it lasts at the pace it is used.',
  answer: larderView,
})
