import { ofHousehold } from './endpoint'
import { lastsFields } from './larder'
import { civilDate, closed, listOf, number, spreadOf, words, type Static } from './shapes'

export const yearView = closed({
  from: civilDate,
  to: civilDate,
  today: civilDate,
  /** crops by what there was most of; solid is counted, the rest expected */
  lines: listOf(
    closed({
      crop: words,
      nowG: number,
      past: listOf(closed({ on: civilDate, g: number })),
      ahead: listOf(closed({ on: civilDate, g: spreadOf(number) })),
      ...lastsFields,
    }),
  ),
  /** where every gram went since the season began, g */
  reckoning: listOf(
    closed({
      crop: words,
      startG: number,
      putUpG: number,
      eatenG: number,
      givenG: number,
      plantedG: number,
      fedG: number,
      lostG: number,
      driedG: number,
      cookedG: number,
      correctedG: number,
      leftG: number,
      causes: listOf(closed({ cause: words, weightG: number })),
    }),
  ),
})
export type YearView = Static<typeof yearView>

export const readYear = ofHousehold('year', {
  method: 'GET',
  path: '/year',
  says: 'What was in the house and will be, crop by crop, and where every gram of the season went.',
  answer: yearView,
})
