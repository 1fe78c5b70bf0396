import { ofHousehold } from './endpoint'
import { airViews } from './households'
import {
  between,
  bool,
  civilDate,
  closed,
  instant,
  listOf,
  nullable,
  number,
  ok,
  oneOf,
  optional,
  relativeHumidityPct,
  requestId,
  saying,
  temperatureC,
  uuid,
  words,
  type Static,
} from './shapes'

export const placeKindIds = [
  'outdoors',
  'veranda',
  'loft',
  'room',
  'cool-room',
  'shed',
  'cellar',
  'fridge',
  'freezer',
  'ground',
  'clamp',
] as const
export const storeyIds = ['roof', 'floor', 'side', 'under', 'garden'] as const
const storey = oneOf(...storeyIds)

/** What a household says of a place; null for as its kind usually is. */
export const described = {
  dark: optional(nullable(bool)),
  heated: optional(nullable(bool)),
  frostSafe: optional(nullable(bool)),
  mice: optional(nullable(bool)),
  storey: optional(nullable(storey)),
  /** of a freezer or fridge, inside, L */
  litres: optional(nullable(between(5, 5000))),
  /** what there is room for elsewhere, kg */
  holdsKg: optional(nullable(between(1, 100_000))),
}
const kind = oneOf(...placeKindIds)

/** A place of its own; or a shelf, rack or basket within another, which is of that one's kind. */
export const newPlace = closed({ name: saying(40), kind, within: optional(uuid), ...described })
export type NewPlace = Static<typeof newPlace>

export const changedPlace = closed({
  name: optional(saying(40)),
  kind: optional(kind),
  ...described,
})

export const newReading = closed({ temperatureC, relativeHumidityPct })
export type NewReading = Static<typeof newReading>

/** One day outdoors. */
export const weatherDay = closed({
  on: civilDate,
  highC: number,
  lowC: number,
  /** the lowest of the night that begins on this day */
  nightC: number,
  humidityPct: number,
  /** null where nobody says */
  rainMm: nullable(number),
  /** today, or to come */
  ahead: bool,
})
export type WeatherDay = Static<typeof weatherDay>

const placeFields = {
  id: uuid,
  name: words,
  kind,
  /** the place it is a part of */
  within: nullable(uuid),
  /** what it is like, said or as its kind usually is: light stays out … */
  dark: bool,
  heated: bool,
  frostSafe: bool,
  mice: bool,
  storey,
  litres: nullable(number),
  holdsKg: nullable(number),
  /** latest reading, if any */
  air: closed({ at: nullable(instant), temperatureC: nullable(number), relativeHumidityPct: nullable(number) }),
  /** means of the last days, for a small line: oldest first */
  recent: listOf(closed({ temperatureC: number, relativeHumidityPct: number, vpdKPa: number })),
}
export const placeView = closed(placeFields)
export type PlaceView = Static<typeof placeView>
export { placeFields }

export const listPlaces = ofHousehold('places', {
  method: 'GET',
  path: '/places',
  says: 'The places of the house in walking order, with their air.',
  answer: listOf(placeView),
})

export const addPlace = ofHousehold('add-place', {
  method: 'POST',
  path: '/places',
  says: 'Adds a place.',
  body: newPlace,
  answer: closed({ id: uuid }),
  status: 201,
  stale: airViews,
})

export const changePlace = ofHousehold('change-place', {
  method: 'PUT',
  path: '/places/:id',
  says: 'Another name or kind for a place; what lies there is forecast anew.',
  body: changedPlace,
  answer: ok,
  stale: airViews,
})

export const orderPlaces = ofHousehold('order-places', {
  method: 'PUT',
  path: '/places-order',
  says: 'The places in the order they are walked; parts follow their whole.',
  body: closed({ ids: listOf(uuid, { minItems: 1, maxItems: 300 }) }),
  answer: ok,
  stale: airViews,
})

/** A place that is out of use. */
export const retiredPlace = closed({ id: uuid, name: words, retiredOn: civilDate })

export const listRetiredPlaces = ofHousehold('retired-places', {
  method: 'GET',
  path: '/places/retired',
  says: 'Places nothing is put in any more; what was there stays told.',
  answer: listOf(retiredPlace),
})

export const retirePlace = ofHousehold('retire-place', {
  method: 'PUT',
  path: '/places/:id/retired',
  says: 'Takes an empty place out of use, with its parts, or back into use.',
  body: closed({ retired: bool }),
  answer: ok,
  stale: [...airViews, 'retired-places'],
})

export const joinPlace = ofHousehold('join-place', {
  method: 'POST',
  path: '/places/:id/join',
  says: 'All that lies in a place goes to another, and it is out of use.',
  body: closed({ requestId, into: uuid }),
  answer: closed({ moved: listOf(words) }),
  status: 201,
  stale: [...airViews, 'retired-places'],
})

export const addReading = ofHousehold('add-reading', {
  method: 'POST',
  path: '/places/:id/readings',
  says: 'A reading taken by hand, now.',
  body: newReading,
  answer: ok,
  status: 201,
  stale: airViews,
})

export const readWeather = ofHousehold('weather', {
  method: 'GET',
  path: '/weather',
  says: 'The garden’s weather: a fortnight back, today and the days ahead.',
  answer: listOf(weatherDay),
})
