import { airSeries, hourMs, type AirSeries } from '@vadose/core/air'
import { almanacWith, cropById, noChanges, type Crop } from '@vadose/core/almanac'
import { normalDeviate, stream } from '@vadose/core/chance'
import { House, lotState, outdoorsOf, placeState, type LotState } from '@vadose/core/forecast'
import { dayMs, instantOf } from '@vadose/core/households'
import { draft, type LotEvent } from '@vadose/core/lots'
import { climateFor, notDescribed, outdoorNormal, type PlaceKind } from '@vadose/core/places'
import { recordOf } from '@vadose/core/readings'
import { usualPacking } from '@vadose/core/stores'

/** What is true of houses in a world; nothing of it is what the forecast thinks. */
export const truths = {
  slopes: 'other lives and slopes by crop, two-mass houses',
  flat: 'Weibull shape 1.5, other lives by lot',
  culls: 'early culls that run, twice the spread',
} as const
export type Truth = keyof typeof truths

export const household = { id: 'h', timeZone: 'Europe/Vienna', latitudeDeg: 47, altitudeM: 300, seasonStart: '05-01' }
export const climate = climateFor(household.latitudeDeg, household.altitudeM)
const almanac = almanacWith(noChanges)
export const nowMs = instantOf('2026-10-05', 8, household.timeZone)
export const days = 182
export const kinds: PlaceKind[] = ['outdoors', 'shed', 'room', 'cool-room', 'cellar', 'loft']
export const crops = [
  'potato-maincrop',
  'carrot',
  'beetroot',
  'apple-late',
  'onion-storing',
  'garlic-hardneck',
  'squash-butternut',
  'cabbage-white',
  'celeriac',
  'pear',
].map(cropById)
/** where people put things, mostly: some of it, an almanac would say otherwise */
const habit: Record<string, PlaceKind[]> = {
  'potato-maincrop': ['cellar', 'shed'],
  carrot: ['cellar', 'cool-room'],
  beetroot: ['cellar', 'shed'],
  'apple-late': ['cellar', 'shed', 'cool-room'],
  'onion-storing': ['cool-room', 'cellar', 'loft'],
  'garlic-hardneck': ['room', 'cool-room'],
  'squash-butternut': ['cool-room', 'cellar', 'room'],
  'cabbage-white': ['cellar', 'shed'],
  celeriac: ['cellar', 'cool-room'],
  pear: ['cool-room', 'cellar', 'room'],
}

export interface Built {
  house: House
  /** the air that comes, by place, from six weeks before now on */
  air: Map<string, AirSeries>
}

export const readDays = 45

/** A place’s true air: the weather of a winter of its own behind two masses, doors that stand open for days. */
function trueAir(kind: PlaceKind, weather: (day: number) => number, next: () => number): AirSeries {
  const like: Record<string, [tau: number, gain: number, mean: number, rh: number]> = {
    outdoors: [0.3, 1, 0, 80],
    shed: [2 + 3 * next(), 0.7 + 0.25 * next(), 1.5 + normalDeviate(next), 78 + 6 * next()],
    room: [2, 0.1 + 0.1 * next(), 10 + normalDeviate(next), 45 + 10 * next()],
    'cool-room': [6 + 8 * next(), 0.4 + 0.3 * next(), 3 + 1.5 * normalDeviate(next), 58 + 10 * next()],
    cellar: [25 + 25 * next(), 0.3 + 0.25 * next(), 0.5 + 1.5 * normalDeviate(next), 82 + 10 * next()],
    loft: [1 + next(), 0.8 + 0.2 * next(), 4 + 2 * normalDeviate(next), 55 + 10 * next()],
  }
  const [tau, gain, over, rh] = like[kind]!
  const mean = climate.meanC
  let [wall, inner, door] = [weather(-200) - mean, weather(-200) - mean, 0]
  const total = readDays + days + 2
  const t = new Float64Array(total * 24)
  const humid = new Float64Array(total * 24)
  for (let d = -200; d < days + 2; d++) {
    wall += (1 - Math.exp(-1 / tau)) * (weather(d) - mean - wall)
    inner += (1 - Math.exp(-1 / (0.3 * tau + 0.2))) * (wall - inner)
    door = 0.85 * door + 0.35 * normalDeviate(next)
    for (let h = 0; d >= -readDays && h < 24; h++) {
      const i = (d + readDays) * 24 + h
      t[i] =
        mean +
        over +
        gain * inner +
        door +
        (kind === 'outdoors' ? 4 : 0.6 * gain) * Math.sin((2 * Math.PI * (h - 9)) / 24)
      humid[i] = Math.min(98, Math.max(30, rh + 3 * door))
    }
  }
  const startMs = Math.floor(nowMs / hourMs) * hourMs - readDays * dayMs
  return airSeries(startMs, t, humid)
}

export function build(seed: number): Built {
  const next = stream(seed * 9973)
  let spell = 0
  const odd = normalDeviate(next) * 1.2
  const spells = new Map<number, number>()
  for (let d = -200; d < days + 2; d++) spells.set(d, (spell = 0.8 * spell + 2 * normalDeviate(next)))
  const weather = (day: number) =>
    outdoorNormal(climate, nowMs + day * dayMs).temperatureC + odd + (spells.get(day) ?? 0)
  const air = new Map(kinds.map((kind) => [kind as string, trueAir(kind, weather, next)]))
  const record = (kind: string) => {
    const { startMs, temperatureC, relativeHumidityPct } = air.get(kind)!
    const hours = readDays * 24
    return recordOf([
      {
        startMs,
        temperatureC: Float32Array.from(temperatureC.subarray(0, hours)),
        relativeHumidityPct: Float32Array.from(relativeHumidityPct.subarray(0, hours)),
      },
    ])!
  }
  const coming = Math.ceil(nowMs / hourMs) * hourMs
  const outdoors = outdoorsOf(climate, coming, record('outdoors'))
  const places = kinds.map((kind, walk) =>
    placeState(
      { id: kind, name: kind, kind, walk, within: null, retiredOn: null, ...notDescribed },
      record(kind),
      nowMs - hourMs,
      { climate, nowMs: coming, outdoors },
    ),
  )
  const lots = Array.from({ length: 9 }, (_, i) => {
    const crop = crops[Math.floor(next() * crops.length)]!
    const likely = habit[crop.id]!
    const kind = next() < 0.15 ? kinds[1 + Math.floor(next() * 5)]! : likely[Math.floor(next() * likely.length)]!
    return storedLot(`L${i}`, crop, kind, Math.round(6000 + 24_000 * next()))
  })
  return {
    house: new House({ household, places, lots, almanac, nowMs, rainMm: new Map(), stands: [], lessons: [] }),
    air,
  }
}

/** roots go into sand, as people do */
export const packOf = (crop: Crop) => crop.packs.find(({ id }) => id === 'damp-sand')?.id ?? usualPacking(crop)

function storedLot(code: string, crop: Crop, placeId: string, weightG: number): LotState {
  const pieces = Math.max(5, Math.round(weightG / crop.pieceG.value))
  const atMs = nowMs - 5 * dayMs
  const events: LotEvent[] = [
    draft('brought-in', { weightG, pieces }),
    draft('finished', { placeId, details: { pack: packOf(crop) } }),
  ].map((event, i) => ({ ...event, atMs, id: i + 1 }))
  const identity = { id: code, code, crop: crop.id, heap: 'sound', fate: 'store', variety: null, bed: null }
  return lotState({ ...identity, broughtOn: '2026-09-30' }, events, almanac)
}
