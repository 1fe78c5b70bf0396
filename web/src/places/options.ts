import type { PlaceView } from '@vadose/contract/places'
import { humidity, temperature } from '../households'

/** Places by their names alone, for a field that opens. */
export const namedPlaces = (places: readonly Pick<PlaceView, 'id' | 'name'>[]) =>
  places.map(({ id, name }) => ({ id, label: name }))

/** Places to choose from, each with the air it has. */
export const placeOptions = (places: readonly PlaceView[]) =>
  places.map(({ id, name, air }) => ({
    id,
    label: name,
    ...(air.temperatureC === null
      ? {}
      : { detail: `${temperature(air.temperatureC)} · ${humidity(air.relativeHumidityPct ?? 0)}` }),
  }))
