import { almanacWith, cropById, noChanges } from '../almanac'
import { instantOf } from '../households'
import { draft, type EventDraft, type LotEvent } from '../lots'
import { climateFor, notDescribed, type PlaceKind } from '../places'
import { House, type HouseFacts } from './house'
import { lotState, type LotState } from './lot'
import { comingHour, placeState, type PlaceState } from './place'

/** A made-up house for tests: places nobody measured, lots by what happened to them. */
export const almanac = almanacWith(noChanges)
export const household = { id: 'h', timeZone: 'Europe/Vienna', latitudeDeg: 47, altitudeM: 430, seasonStart: '05-01' }
export const climate = climateFor(household.latitudeDeg, household.altitudeM)
const kinds: PlaceKind[] = ['outdoors', 'veranda', 'room', 'cool-room', 'cellar']

/** Places nobody measured: what is expected of them is what comes. */
const places = (nowMs: number): PlaceState[] =>
  kinds.map((kind, walk) =>
    placeState({ id: kind, name: kind, kind, walk, within: null, retiredOn: null, ...notDescribed }, undefined, null, {
      climate,
      nowMs: comingHour(nowMs),
    }),
  )
export const at = (date: string, hour = 8) => instantOf(date, hour, household.timeZone)

let nextId = 1
/** The number of the next entry in the ledger of tests. */
export const nextEntry = () => nextId++

export function lot(code: string, crop: string, events: [string, EventDraft][]): LotState {
  const ledger = events.map(([on, event]): LotEvent => ({ ...event, atMs: at(on), id: nextEntry() }))
  const identity = { id: code, code, crop, heap: 'sound', fate: 'store', variety: null, bed: null }
  return lotState({ ...identity, broughtOn: events[0]![0] }, ledger, almanac)
}
export const stored = (code: string, crop: string, on: string, placeId: string, weightG = 8000, pieces = 80) =>
  lot(code, crop, [
    [on, draft('brought-in', { weightG, pieces })],
    [on, draft('finished', { placeId, details: { pack: cropById(crop).packs[0]!.id } })],
  ])

const noLessons: HouseFacts['lessons'] = []

export const houseOn = (on: string, lots: LotState[], earlier?: House, nowMs = at(on)) =>
  new House(
    {
      household,
      // at one moment its places are the very same, as they are to the server between two entries
      places: earlier?.nowMs === nowMs ? earlier.everyPlace : places(nowMs),
      lots,
      almanac,
      nowMs,
      rainMm: new Map(),
      stands: [],
      lessons: noLessons,
    },
    earlier,
  )
