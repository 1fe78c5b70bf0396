import type { PlaceView } from '@vadose/contract/places'
import { humidity, temperature } from '../households'

/** Places to choose from, each with the air it has. */
export const placeOptions = (places: readonly PlaceView[]) =>
  places.map(({ id, name, air }) => ({
    id,
    label: name,
    ...(air.temperatureC === null
      ? {}
      : { detail: `${temperature(air.temperatureC)} · ${humidity(air.relativeHumidityPct ?? 0)}` }),
  }))
