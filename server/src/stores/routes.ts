import type { MovePreview, StoresView } from '@vadose/contract/stores'
import { hourMs } from '@vadose/core/air'
import { daysBetween } from '@vadose/core/households'
import { endReason } from '@vadose/core/stores'
import { Refusal } from '@vadose/core/refusal'
import { Router } from 'express'
import type { Pool } from '../database'
import { currentState, type PlaceState } from '../households'
import { keepsUntil, lotRow, meanAhead } from '../lots'
import { placeView } from '../places'

const cloudHours = 30 * 24

function cloudOf(place: PlaceState) {
  const cloud: StoresView['places'][number]['cloud'] = []
  if (place.measuredAtMs === null) return cloud
  for (let i = Math.max(0, place.past.hours - cloudHours); i < place.past.hours; i += 9) {
    cloud.push({ temperatureC: place.past.temperatureC[i]!, relativeHumidityPct: place.past.relativeHumidityPct[i]! })
  }
  return cloud
}

/** Mean air of each of the coming six months. */
function monthsAhead(place: PlaceState) {
  const months = new Map<string, { t: number; rh: number; n: number }>()
  for (let i = 0; i < Math.min(place.ahead.hours, 184 * 24); i += 6) {
    const month = new Date(place.ahead.startMs + i * hourMs).toISOString().slice(0, 7)
    const sum = months.get(month) ?? { t: 0, rh: 0, n: 0 }
    sum.t += place.ahead.temperatureC[i]!
    sum.rh += place.ahead.relativeHumidityPct[i]!
    sum.n++
    months.set(month, sum)
  }
  return [...months].map(([month, { t, rh, n }]) => ({ month, temperatureC: t / n, relativeHumidityPct: rh / n }))
}

export function storesRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/stores', async (request, response) => {
    const state = await currentState(pool, request)
    response.json({
      places: state.places.map((place) => ({ ...placeView(place), cloud: cloudOf(place), ahead: monthsAhead(place) })),
      lots: state.lots.map((lot) =>
        lot.stage === 'stored'
          ? { ...lotRow(lot), ...keepsUntil(state, lot) }
          : { ...lotRow(lot), nineInTenUntil: { p10: '', p50: '', p90: '' }, beyond: false, endedBy: '' },
      ),
      windows: [...new Set(state.lots.filter((lot) => lot.stage === 'stored').map((lot) => lot.cropData))].map(
        (crop) => ({
          crop: crop.id,
          label: crop.plural,
          temperatureC: [crop.keeping.bestTemperatureC.value[0], Math.max(4, crop.keeping.bestTemperatureC.value[1])],
          relativeHumidityPct: crop.keeping.bestHumidityPct.value,
        }),
      ),
    } satisfies StoresView)
  })

  router.get('/stores/move', async (request, response) => {
    const state = await currentState(pool, request)
    const lot = state.lots.find((l) => l.code === request.query['lot'])
    const place = state.place(String(request.query['place'] ?? ''))
    if (!lot || !place) throw new Refusal('not-found', 'There is no such lot or place in this household.')
    const passed = [undefined, place].every((where) => keepsUntil(state, lot, where).nineInTenUntil.p50 <= state.today)
    const level = passed ? 'half' : 'nine-in-ten'
    const from = keepsUntil(state, lot, undefined, level)
    const to = keepsUntil(state, lot, place, level)
    const air = meanAhead(place)
    response.json({
      code: lot.code,
      level,
      from: { place: lot.place ?? 'nowhere yet', ...from },
      to: {
        place: place.name,
        ...to,
        why: endReason(lot.cropData, to.endedBy, air.temperatureC, air.relativeHumidityPct),
      },
      daysGained: daysBetween(from.nineInTenUntil.p50, to.nineInTenUntil.p50),
    } satisfies MovePreview)
  })

  return router
}
