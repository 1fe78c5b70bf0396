import type { Crop, HeapTemplate } from '../almanac'
import { healingRate } from '../line'
import { isDark, placeKinds, type PlaceKind } from '../places'
import { keptLongDays, lightCosts, notHealing, perDegree, perPoint, swings } from '../assumptions'

export interface PlaceNow {
  id: string
  kind: PlaceKind
  dark?: boolean | undefined
  /** measured air, °C and %; null where nobody has measured */
  temperatureC: number | null
  relativeHumidityPct: number | null
}

/** Where things hang by the pull of the air: under a roof, in moving air first. Common practice, no source. */
const hangingPlaces: readonly PlaceKind[] = ['veranda', 'shed', 'loft', 'cool-room', 'room']
/** No place to put a heap down in. */
const never: readonly PlaceKind[] = ['outdoors', 'freezer']

const outside = (value: number, [lo, hi]: readonly [number, number]) => Math.max(0, lo - value, value - hi)

/**
 * Where the almanac would put a heap: what hangs by the pull of the air to moving air, what heals to where it heals
 * best, what is stored to the place whose air is nearest to what it likes, what is eaten soon to the kitchen.
 * @param places any order
 * @returns a place's id; undefined in a house without places
 */
export function proposePlace(
  crop: Crop,
  heap: Pick<HeapTemplate, 'hangs' | 'useWithinDays'>,
  places: readonly PlaceNow[],
): string | undefined {
  const open = places.filter((p) => !never.includes(p.kind))
  const firstOf = (kinds: readonly PlaceKind[]) =>
    kinds.map((kind) => open.find((p) => p.kind === kind)?.id).find((id) => id !== undefined)
  const { curing, keeping } = crop
  const heals = heap.hangs && curing?.clock === 'healing'
  if (heap.hangs && !heals) return firstOf(hangingPlaces) ?? open[0]?.id
  if (heap.useWithinDays) return firstOf(['room', 'cool-room']) ?? open[0]?.id
  const keptLong = keeping.lifeDays.value[1] > keptLongDays
  const costs = (p: PlaceNow) => {
    const kind = placeKinds[p.kind]
    // a fridge has room for what is gone in weeks, not for a winter's crates
    if (p.kind === 'fridge' && (heals || keptLong)) return Infinity
    const t = p.temperatureC ?? kind.usualMeanC
    const rh = p.relativeHumidityPct ?? kind.usualHumidityPct
    const air = heals
      ? notHealing * (1 - healingRate(curing, t, rh))
      : perDegree * outside(t, keeping.bestTemperatureC.value) + perPoint * outside(rh, keeping.bestHumidityPct.value)
    const season = keptLong && !heals ? swings * kind.gain : 0
    return air + season + (crop.needs.includes('dark') && !isDark(p) ? lightCosts : 0)
  }
  return [...open].sort((a, b) => costs(a) - costs(b))[0]?.id
}

/** Where the daily pick is put down, best first: it is eaten within the week. Common practice, no source. */
const pickPlaces: readonly PlaceKind[] = ['fridge', 'cellar', 'cool-room', 'room']

/** @returns a place's id; undefined in a house without places */
export const proposePickPlace = (places: readonly { id: string; kind: PlaceKind }[]): string | undefined =>
  (pickPlaces.map((kind) => places.find((p) => p.kind === kind)).find(Boolean) ?? places[0])?.id
