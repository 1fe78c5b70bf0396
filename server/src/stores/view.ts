import type { PlaceClimate, StoresView } from '@vadose/contract/stores'
import {
  climateAhead,
  cloudOf,
  comfortAhead,
  conflictsIn,
  keepsUntil,
  monthsAhead,
  troubleOf,
  type House,
  type LotState,
  type PlaceState,
} from '@vadose/core/forecast'
import { endWord, type End } from '@vadose/core/stores'
import { lotRow } from '../lots'
import { placeView } from '../places'

/** a window that ends near freezing is drawn up to here, °C: a line is no window */
const leastTopC = 4

/** Crops in store that feel a room's air: a freezer is no air to compare rooms by, and what is in a closed jar feels none. */
const airyCrops = (lots: readonly LotState[]) => [
  ...new Set(
    lots
      .filter((lot) => lot.stage === 'stored' && ['fresh', 'dried'].includes(lot.form) && lot.grown.group !== 'goods')
      .map((lot) => lot.cropData),
  ),
]

const windowsOf = (house: House) =>
  airyCrops(house.lots).map((crop) => {
    const { bestTemperatureC, bestHumidityPct } = crop.keeping
    return {
      crop: crop.id,
      label: crop.plural,
      temperatureC: [bestTemperatureC.value[0], Math.max(leastTopC, bestTemperatureC.value[1])] as [number, number],
      relativeHumidityPct: bestHumidityPct.value,
    }
  })

export const inWords = <T extends { endedBy: End }>(lot: LotState, keeps: T) => ({
  ...keeps,
  endedBy: endWord(lot.cropData, keeps.endedBy),
})

const storedLot = (house: House, lot: LotState) =>
  house.seenOf(lot, 'stored lot', () => ({
    ...lotRow(house, lot),
    keeps: lot.stage === 'stored' && !troubleOf(house, lot) ? inWords(lot, keepsUntil(house, lot)) : null,
  }))

function storesPlace(house: House, place: PlaceState): StoresView['places'][number] {
  const [view, cloud, ahead] = [placeView(house, place), cloudOf(house, place), monthsAhead(house, place)]
  const conflicts = conflictsIn(house, place)
  return house.once(null, `in stores ${place.id}`, [view, cloud, ahead, ...conflicts], () => ({
    ...view,
    cloud,
    ahead,
    conflicts,
  }))
}

export const storesView = (house: House): StoresView => ({
  places: house.places.map((place) => storesPlace(house, place)),
  lots: house.lots.map((lot) => storedLot(house, lot)),
  windows: windowsOf(house),
})

/** so many crops are compared: those that lie there first */
const mostCompared = 12

export function climateView(house: House, place: PlaceState): PlaceClimate {
  const garden = house.places.find(({ kind }) => kind === 'outdoors')
  const outdoors = new Map(garden ? climateAhead(house, garden).map((m) => [m.month, m.frostNights]) : [])
  const parts = house.places.filter(({ within }) => within === place.id)
  const here = new Set([place.id, ...parts.map(({ id }) => id)])
  const lots = house.lots.filter((lot) => lot.placeId !== null && here.has(lot.placeId))
  const own = airyCrops(lots)
  const others = airyCrops(house.lots).filter((crop) => !own.some(({ id }) => id === crop.id))
  return {
    place: placeView(house, place),
    parts: parts.map((part) => placeView(house, part)),
    fittedDays: place.fit.days,
    gain: place.fit.gain / Math.hypot(1, (2 * Math.PI * place.fit.lagDays) / 365.25),
    lagDays: place.fit.lagDays,
    cloud: cloudOf(house, place),
    months: climateAhead(house, place).map((month) => ({ ...month, frostOutdoors: outdoors.get(month.month) ?? 0 })),
    lots: lots.map((lot) => storedLot(house, lot)),
    comfort: [...own, ...others].slice(0, mostCompared).map((crop) => ({
      crop: crop.id,
      name: crop.name,
      here: own.includes(crop),
      months: comfortAhead(house, place, crop),
    })),
    conflicts: [place, ...parts].flatMap((one) => conflictsIn(house, one)),
  }
}
