import { previewMove, readStores } from '@vadose/contract/stores'
import {
  cloudOf,
  keepsUntil,
  monthsAhead,
  movePreview,
  troubleOf,
  type House,
  type LotState,
} from '@vadose/core/forecast'
import { Refusal } from '@vadose/core/refusal'
import { endWord, type End } from '@vadose/core/stores'
import { lotRow } from '../lots'
import { placeView } from '../places'
import type { Server } from '../serve'

/** a window that ends near freezing is drawn up to here, °C: a line is no window */
const leastTopC = 4

/** The air each crop in store likes; a freezer is no air to compare rooms by, and what is in a closed jar feels none. */
const windowsOf = (house: House) =>
  [
    ...new Set(
      house.lots
        .filter((lot) => lot.stage === 'stored' && ['fresh', 'dried'].includes(lot.form) && lot.grown.group !== 'goods')
        .map((lot) => lot.cropData),
    ),
  ].map((crop) => {
    const { bestTemperatureC, bestHumidityPct } = crop.keeping
    return {
      crop: crop.id,
      label: crop.plural,
      temperatureC: [bestTemperatureC.value[0], Math.max(leastTopC, bestTemperatureC.value[1])] as [number, number],
      relativeHumidityPct: bestHumidityPct.value,
    }
  })

const inWords = <T extends { endedBy: End }>(lot: LotState, keeps: T) => ({
  ...keeps,
  endedBy: endWord(lot.cropData, keeps.endedBy),
})

export function serveStores(server: Server): void {
  server.household(readStores, async (visit) => {
    const house = await visit.house()
    return house.shown('stores', [], () => ({
      places: house.places.map((place) => ({
        ...placeView(house, place),
        cloud: cloudOf(house, place),
        ahead: monthsAhead(house, place),
      })),
      lots: house.lots.map((lot) => ({
        ...lotRow(house, lot),
        keeps: lot.stage === 'stored' && !troubleOf(house, lot) ? inWords(lot, keepsUntil(house, lot)) : null,
      })),
      windows: windowsOf(house),
    }))
  })

  server.household(previewMove, async (visit, { query }) => {
    const house = await visit.house()
    const lot = house.lot(query.lot)
    const place = house.place(query.place)
    if (!lot || !place) throw new Refusal('not-found', 'There is no such lot or place in this household.')
    const { keeps, dries } = movePreview(house, lot, place)
    return {
      code: lot.code,
      from: house.place(lot.placeId)?.name ?? null,
      to: place.name,
      dries,
      keeps: keeps && { ...keeps, from: inWords(lot, keeps.from), to: inWords(lot, keeps.to) },
    }
  })
}
