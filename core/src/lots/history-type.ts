import type { Form, HungIn, Origin, Unit } from '../almanac'
import type { AsideReason, LotEvent, Verdict } from './event'
import { nothingGuessed, type Guessed } from './guessed'
import type { Quantity } from './quantity'

/** On the line, in the dehydrator, in the conditioning jar, waiting to be used, in store, or nothing left. */
export type Stage = 'drying' | 'dryer' | 'conditioning' | 'fresh' | 'stored' | 'gone'

/** A lot as its events tell it. */
export interface LotHistory {
  quantity: Quantity
  stage: Stage
  broughtAtMs: number
  /** when something last happened to it that stands */
  lastAtMs: number
  hungAtMs: number | null
  storedAtMs: number | null
  placeId: string | null
  /** where it was from when */
  stays: { atMs: number; placeId: string }[]
  hungIn: HungIn | null
  turnedAtMs: number | null
  airflow: { atMs: number; airflow: 'still' | 'breezy' | 'fan'; gain?: number }[]
  weighings: { atMs: number; weightG: number; basis: 'lot' | 'bunch' }[]
  tests: { atMs: number; test: string; passed: boolean }[]
  checks: {
    atMs: number
    lookedAt: number
    bad: number
    lotSize?: number
    faults: { fault: string; pieces: number; action: string }[]
  }[]
  pack: string | null
  /** set aside to be used within so many days */
  aside: { atMs: number; why: AsideReason; days: number } | null
  /** spells in the dehydrator, the last one now or just over; weights before the first: what went in */
  loads: {
    atMs: number
    weightG: number
    trays: number
    airC: number
    weighings: { atMs: number; weightG: number }[]
    rotatedAtMs: number | null
  }[]
  /** the conditioning jar it is or was last in, with the looks at it */
  jar: { atMs: number; looks: { atMs: number; beads: boolean; mould: boolean; jarHumidityPct?: number }[] } | null
  /** when it was frozen, and how it was prepared; null for what is not */
  frozen: { atMs: number; prepared: string } | null
  /** what it was made into, and how; null for what is as it grew, was dried on the line or bagged by itself */
  made: { atMs: number; form: Form; prepared: string; dish: boolean; recipe?: string; tasteAfterDays?: number } | null
  /** what it is called where it is not simply its crop, and what it is counted in */
  named: string | null
  unit: Unit | null
  size: string | null
  source: Origin
  /** good for so many days, where somebody said so */
  lifeDays: number | null
  /** what somebody wants to be reminded of */
  note: { atMs: number; text: string; mindOn: string | null } | null
  /** whether it earned its shelf, once somebody said */
  verdict: Verdict | null
  /** the last germination test of seed */
  germination: { atMs: number; sown: number; came: number } | null
  /** what of its quantity nobody has weighed or counted yet */
  guessed: Guessed
  /** the lot it was taken from, as that was just before */
  origin: LotHistory | undefined
  /** what it was told from */
  events: readonly LotEvent[]
  weightAtFirstG: number
  piecesAtFirst: number | null
}

/** A history before its first event is read. */
export const untold = (events: readonly LotEvent[], origin?: LotHistory): LotHistory => ({
  quantity: { weightG: 0, pieces: null },
  stage: 'fresh',
  broughtAtMs: events[0]?.atMs ?? 0,
  lastAtMs: 0,
  hungAtMs: null,
  storedAtMs: null,
  placeId: null,
  stays: [],
  hungIn: null,
  turnedAtMs: null,
  airflow: [],
  weighings: [],
  tests: [],
  checks: [],
  pack: null,
  aside: null,
  loads: [],
  jar: null,
  frozen: null,
  made: null,
  named: null,
  unit: null,
  size: null,
  source: 'grown',
  lifeDays: null,
  note: null,
  verdict: null,
  germination: null,
  guessed: nothingGuessed,
  origin,
  events,
  weightAtFirstG: 0,
  piecesAtFirst: null,
})
