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
  uuid,
  words,
  type Static,
  told,
  ending,
} from './shapes'

/** A lot in the house; how it keeps where it is in store. */
export const storedLotView = closed({ ...lotFields, keeps: nullable(closed(keepsFields)) })
export type StoredLotView = Static<typeof storedLotView>

const air = closed({ temperatureC: number, relativeHumidityPct: number })

/** What of lots does not go with one another in a place, or with the place. */
const conflict = closed({
  kind: oneOf('gas', 'light', 'smell', 'damp', 'mice', 'slugs', 'frost'),
  says: told,
  codes: listOf(words),
})

export const storesView = closed({
  places: listOf(
    closed({
      ...placeFields,
      /** hourly cloud of the last 30 days, thinned */
      cloud: listOf(air),
      conflicts: listOf(conflict),
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
        endedBy: ending,
        overdueSince,
      }),
      to: closed({
        nineInTenUntil: spreadOf(civilDate),
        beyond: bool,
        endedBy: ending,
        overdueSince,
        why: told,
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

/** The climate of one place: what was measured, the twelve months to come, who is happy there. */
export const placeClimate = closed({
  place: closed(placeFields),
  parts: listOf(closed(placeFields)),
  /** days with readings that it was fitted to; none: its kind is all that is known */
  fittedDays: number,
  /** share of the outdoor season that comes in, and days it comes late */
  gain: number,
  lagDays: number,
  cloud: listOf(air),
  months: listOf(
    closed({
      month: words,
      temperatureC: spreadOf(number),
      relativeHumidityPct: spreadOf(number),
      frostNights: number,
      /** nights outdoors below freezing, as they are to be expected */
      frostOutdoors: number,
    }),
  ),
  lots: listOf(closed({ ...lotFields, keeps: nullable(closed(keepsFields)) })),
  /** crops that are in the house, this place's first: how they would take each of the months here */
  comfort: listOf(closed({ crop: words, name: words, here: bool, months: listOf(oneOf('well', 'will do', 'loses')) })),
  /** what of lots here does not go with one another or with the place */
  conflicts: listOf(conflict),
})
export type PlaceClimate = Static<typeof placeClimate>

export const readClimate = ofHousehold('climate', {
  method: 'GET',
  path: '/places/:id/climate',
  says: 'A place’s air as it was and as it is expected for a year, with how sure, and how crops would take it.',
  answer: placeClimate,
})

export const readThermometers = ofHousehold('thermometers', {
  method: 'GET',
  path: '/stores/thermometers',
  says: 'Where a cheap thermometer would tell most: how much surer the dates there would be.',
  answer: listOf(closed({ id: uuid, place: words, lots: number, weightG: number, daysNow: number, daysThen: number })),
})

/** What a best arrangement is worked out from: lots, places, and what each way through the months would cost a lot. */
export const arrangementAsked = closed({
  problem: closed({
    months: number,
    places: listOf(closed({ id: uuid, holdsKg: nullable(number) })),
    lots: listOf(
      closed({
        code: words,
        kg: number,
        kgThen: listOf(number),
        at: number,
        gives: bool,
        smells: bool,
        takesSmell: bool,
        gasKg: listOf(listOf(number)),
        ways: listOf(closed({ places: listOf(number), lossKg: number, moves: number })),
      }),
    ),
  }),
  today: civilDate,
  names: listOf(words),
  lots: listOf(closed({ code: words, name: words, crop: words })),
})
export type ArrangementAsked = Static<typeof arrangementAsked>

export const readArrangement = ofHousehold('arrangement', {
  method: 'GET',
  path: '/stores/arrangement',
  says: 'Lots, places and the cost of every way of each through six months, for whoever looks for the best arrangement.',
  answer: arrangementAsked,
  aside: true,
})
