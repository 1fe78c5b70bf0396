import { ofHousehold } from './endpoint'
import { keepsFields, lotFields, overdueSince } from './lots'
import { placeFields } from './places'
import {
  bool,
  civilDate,
  closed,
  listOf,
  nullable,
  number,
  oneOf,
  pairOf,
  spreadOf,
  textUpTo,
  words,
  type Static,
} from './shapes'

/** A lot in the house; how it keeps where it is in store. */
export const storedLotView = closed({ ...lotFields, keeps: nullable(closed(keepsFields)) })
export type StoredLotView = Static<typeof storedLotView>

const air = closed({ temperatureC: number, relativeHumidityPct: number })

export const storesView = closed({
  places: listOf(
    closed({
      ...placeFields,
      /** hourly cloud of the last 30 days, thinned */
      cloud: listOf(air),
      /** months to come: mean air */
      ahead: listOf(closed({ month: words, temperatureC: number, relativeHumidityPct: number })),
    }),
  ),
  lots: listOf(storedLotView),
  windows: listOf(
    closed({ crop: words, label: words, temperatureC: pairOf(number), relativeHumidityPct: pairOf(number) }),
  ),
})
export type StoresView = Static<typeof storesView>

const dries = closed({
  /** null where the air ahead never gets it there */
  ready: spreadOf(nullable(civilDate)),
  /** hours damp enough for mould in the next fortnight */
  mouldHoursAhead: number,
})

export const movePreview = closed({
  code: words,
  from: nullable(words),
  to: words,
  /** for what is in store or waits to be used; else null */
  keeps: nullable(
    closed({
      /** what the dates are for: 9 in 10 still sound, or half where 9 in 10 has passed already */
      level: oneOf('nine-in-ten', 'half'),
      from: closed({
        nineInTenUntil: spreadOf(civilDate),
        beyond: bool,
        endedBy: words,
        overdueSince,
      }),
      to: closed({
        nineInTenUntil: spreadOf(civilDate),
        beyond: bool,
        endedBy: words,
        overdueSince,
        why: words,
      }),
      /** days gained at the median; negative is lost */
      daysGained: number,
    }),
  ),
  /** for what still dries; there is null where nothing can */
  dries: nullable(closed({ from: dries, to: nullable(dries) })),
})
export type MovePreview = Static<typeof movePreview>

export const readStores = ofHousehold('stores', {
  method: 'GET',
  path: '/stores',
  says: 'The house: every place with its air, every lot with how long it keeps.',
  answer: storesView,
})

export const previewMove = ofHousehold('move-preview', {
  method: 'GET',
  path: '/stores/move',
  says: 'What moving a lot to a place does to its life.',
  query: closed({ lot: textUpTo(20), place: textUpTo(40) }),
  answer: movePreview,
})
