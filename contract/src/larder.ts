import { ofHousehold } from './endpoint'
import { lotFields, overdueSince, troubledLots } from './lots'
import { bool, civilDate, closed, listOf, nullable, number, spreadOf, words, type Static } from './shapes'

export const larderLot = closed({
  ...lotFields,
  piecesAtFirst: nullable(number),
  weightAtFirstG: number,
  /** share of each kilo that would be lost in the coming fortnight */
  lossAvoidedPerKg: number,
  keepsUntil: civilDate,
  beyond: bool,
  overdueSince,
  why: words,
})
export type LarderLot = Static<typeof larderLot>

export const larderView = closed({
  /** lots that cannot be worked out, each with why */
  troubled: troubledLots,
  /** soonest lost first */
  lots: listOf(larderLot),
  /** what can be relied on: what has outlived its time, and nobody has looked at since, is apart */
  totals: listOf(
    closed({
      crop: words,
      weightG: number,
      pieces: number,
      /** of the weight: what nobody counted where others were, what is dried, and what is frozen */
      uncountedG: number,
      driedG: number,
      frozenG: number,
      overdueG: number,
    }),
  ),
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
