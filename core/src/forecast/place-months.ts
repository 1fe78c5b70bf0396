import { hourMs } from '../air'
import type { House } from './house'
import type { PlaceState } from './place'

const cloudHours = 30 * 24
const cloudStepHours = 9
const monthsHours = 184 * 24
const monthsStepHours = 6

/** What was measured in a place in the last thirty days, thinned. */
export const cloudOf = (house: House, place: PlaceState) =>
  house.once(null, `cloud ${place.id}`, [place.past], () => {
    const cloud: { temperatureC: number; relativeHumidityPct: number }[] = []
    if (place.measuredAtMs === null) return cloud
    const { past } = place
    for (let i = Math.max(0, past.hours - cloudHours); i < past.hours; i += cloudStepHours) {
      cloud.push({ temperatureC: past.temperatureC[i]!, relativeHumidityPct: past.relativeHumidityPct[i]! })
    }
    return cloud
  })

/** Mean air of each of the coming six months, by the household's calendar. */
export const monthsAhead = (house: House, place: PlaceState) =>
  house.once(null, `months ${place.id}`, [place.ahead], () => {
    const months = new Map<string, { t: number; rh: number; n: number }>()
    const { ahead } = place
    for (let i = 0; i < Math.min(ahead.hours, monthsHours); i += monthsStepHours) {
      const month = house.dateOf(ahead.startMs + i * hourMs).slice(0, 7)
      const sum = months.get(month) ?? { t: 0, rh: 0, n: 0 }
      sum.t += ahead.temperatureC[i]!
      sum.rh += ahead.relativeHumidityPct[i]!
      sum.n++
      months.set(month, sum)
    }
    return [...months].map(([month, { t, rh, n }]) => ({ month, temperatureC: t / n, relativeHumidityPct: rh / n }))
  })
