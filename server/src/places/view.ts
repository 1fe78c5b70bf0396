import type { PlaceView } from '@vadose/contract/places'
import type { House, PlaceState } from '@vadose/core/forecast'
import { likeOf } from '@vadose/core/places'

const recentHours = 72
const stepHours = 6

/** A place with its latest air and the last three days, six hours a step. */
export const placeView = (house: House, place: PlaceState): PlaceView =>
  house.once(
    null,
    `place view ${place.id}`,
    [place.past, place.measuredAtMs, place.name, place.kind, JSON.stringify(likeOf(place))],
    () => {
      const { past } = place
      const recent: PlaceView['recent'] = []
      for (let i = Math.max(0, past.hours - recentHours); i < past.hours; i += stepHours) {
        recent.push({
          temperatureC: past.temperatureC[i]!,
          relativeHumidityPct: past.relativeHumidityPct[i]!,
          vpdKPa: past.vpdKPa[i]!,
        })
      }
      const measured = place.measuredAtMs !== null
      return {
        id: place.id,
        name: place.name,
        kind: place.kind,
        within: place.within,
        ...likeOf(place),
        air: {
          at: measured ? new Date(place.measuredAtMs!).toISOString() : null,
          temperatureC: measured ? past.temperatureC[past.hours - 1]! : null,
          relativeHumidityPct: measured ? past.relativeHumidityPct[past.hours - 1]! : null,
        },
        recent,
      }
    },
  )
