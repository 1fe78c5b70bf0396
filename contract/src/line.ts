import { ofHousehold } from './endpoint'
import { basis, curingFields, dryerView, jarView, lotFields, troubledLots } from './lots'
import {
  bool,
  civilDate,
  closed,
  either,
  instant,
  just,
  listOf,
  nullable,
  number,
  spreadOf,
  uuid,
  words,
  type Static,
  told,
} from './shapes'

export const lineLot = closed({
  ...lotFields,
  ...curingFields,
  hungOn: civilDate,
  /** “in bunches”; null where nobody said */
  hungIn: nullable(words),
})
export type LineLot = Static<typeof lineLot>

export const lineView = closed({
  /** lots that cannot be worked out, each with why */
  troubled: troubledLots,
  lots: listOf(lineLot),
  /** drying power by place, 6-hour means, from ten days back to five ahead */
  air: listOf(
    closed({ placeId: uuid, place: words, points: listOf(closed({ at: instant, pullKPa: number, ahead: bool })) }),
  ),
  /** in the dehydrator, and in conditioning jars */
  dryer: listOf(closed({ ...lotFields, load: dryerView })),
  jars: listOf(closed({ ...lotFields, jar: jarView })),
})
export type LineView = Static<typeof lineView>

/** Something to do with a hanging lot, and what would come of it. */
export const lineOption = closed({
  id: words,
  label: told,
  ready: spreadOf(nullable(civilDate)),
  /** days sooner than left as it is; null where the comparison has no end */
  daysSaved: nullable(number),
  /** hours damp enough for mould in the next fortnight, and how many fewer than left as it is */
  mouldHoursAhead: number,
  mouldHoursAvoided: number,
  act: nullable(
    either([
      closed({ act: just('fan'), on: bool }),
      closed({ act: just('thin') }),
      closed({ act: just('move'), placeId: uuid }),
    ]),
  ),
  /** it is done in the dehydrator */
  inDryer: bool,
})
export type LineOption = Static<typeof lineOption>

export const lineLotDetail = closed({
  code: words,
  basis,
  weighings: listOf(closed({ at: instant, weightG: number })),
  curve: listOf(closed({ at: instant, p10: number, p50: number, p90: number })),
  options: listOf(lineOption),
})
export type LineLotDetail = Static<typeof lineLotDetail>

export const lineAdvice = closed({
  /** mean pull of the air, kPa, by place that something dries in */
  tomorrow: listOf(
    closed({
      placeId: uuid,
      place: words,
      lots: number,
      pullKPa: number,
      lastDayKPa: number,
      stalls: bool,
    }),
  ),
  /** best first */
  moves: listOf(closed({ code: words, crop: words, heap: words, option: lineOption })),
})
export type LineAdvice = Static<typeof lineAdvice>

export const readLine = ofHousehold('line', {
  method: 'GET',
  path: '/line',
  says: 'Every lot that cures, dries or is conditioned, and the pull of the air where it hangs.',
  answer: lineView,
})

export const readLineAdvice = ofHousehold('line-advice', {
  method: 'GET',
  path: '/line-advice',
  says: 'What tomorrow’s air does to the line, and the moves that would help most.',
  answer: lineAdvice,
})

export const readLineLot = ofHousehold('line-lot', {
  method: 'GET',
  path: '/line/:code',
  says: 'A hanging lot: weighings, the fitted curve, and what would help; null for one that hangs no more.',
  answer: nullable(lineLotDetail),
})
