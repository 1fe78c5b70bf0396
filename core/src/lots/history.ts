import type { HungIn } from '../almanac'
import type { LotEvent } from './event'
import { standing } from './undo'
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
  airflow: { atMs: number; airflow: 'still' | 'breezy' | 'fan' }[]
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
  /** what it was told from */
  events: readonly LotEvent[]
  weightAtFirstG: number
  piecesAtFirst: number | null
}

/** Where an event puts a lot, if it does. */
function placed(e: LotEvent): Exclude<Stage, 'gone'> | undefined {
  switch (e.kind) {
    case 'hung':
      return 'drying'
    case 'loaded':
      return 'dryer'
    case 'jarred':
      return 'conditioning'
    case 'finished':
      return 'stored'
    case 'split-in':
      return e.details.stage ?? 'stored'
    default:
      return undefined
  }
}

/** Numbers of the entries that later ones strike out or undo. */
export const struckIn = (events: readonly LotEvent[]): Set<number> =>
  new Set(
    [...standing(events), ...events.filter((e) => e.kind === 'undone')].flatMap((e) =>
      e.details.strikes === undefined ? [] : [e.details.strikes],
    ),
  )

/** Reads a lot's events, oldest first. The lot is counted once an event has named pieces. */
export function lotHistory(events: readonly LotEvent[]): LotHistory {
  let weightG = 0
  let pieces = 0
  let counted = false
  let stage: Exclude<Stage, 'gone'> = 'fresh'
  const h: LotHistory = {
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
    loads: [],
    jar: null,
    events,
    weightAtFirstG: 0,
    piecesAtFirst: null,
  }
  const struck = struckIn(events)
  // what was undone never happened
  for (const e of standing(events)) {
    h.lastAtMs = e.atMs
    weightG += e.weightG
    pieces += e.pieces
    if (e.pieces !== 0) counted = true
    if (e.placeId !== null && e.placeId !== h.placeId) {
      h.placeId = e.placeId
      h.stays.push({ atMs: e.atMs, placeId: e.placeId })
    }
    const d = e.details
    if (d.airflow) h.airflow.push({ atMs: e.atMs, airflow: d.airflow })
    if (d.pack) h.pack = d.pack
    stage = placed(e) ?? stage
    if (e.kind === 'hung') {
      h.hungAtMs = e.atMs
      h.hungIn = d.hungIn ?? null
    }
    if (e.kind === 'weighed' && d.scaleG && !struck.has(e.id ?? -1)) {
      const load = stage === 'dryer' ? h.loads.at(-1) : undefined
      if (load) load.weighings.push({ atMs: e.atMs, weightG: d.scaleG })
      else h.weighings.push({ atMs: e.atMs, weightG: d.scaleG, basis: d.basis ?? 'lot' })
    }
    // what joins later was not weighed with the rest
    if (e.kind === 'brought-in') h.weighings = h.weighings.filter((w) => w.basis === 'bunch')
    // chaff is not water: what was weighed with it says nothing of the grain
    if (e.kind === 'cleaned') h.weighings = []
    if (e.kind === 'loaded') {
      h.loads.push({ atMs: e.atMs, weightG, trays: d.trays ?? 1, airC: d.airC ?? 55, weighings: [], rotatedAtMs: null })
    }
    if (e.kind === 'rotated') {
      const load = stage === 'dryer' ? h.loads.at(-1) : undefined
      if (load) load.rotatedAtMs = e.atMs
      else h.turnedAtMs = e.atMs
    }
    if (e.kind === 'jarred') h.jar = { atMs: e.atMs, looks: [] }
    if (e.kind === 'shaken' && h.jar) {
      h.jar.looks.push({
        atMs: e.atMs,
        beads: d.beads ?? false,
        mould: d.mould ?? false,
        ...(d.jarHumidityPct === undefined ? {} : { jarHumidityPct: d.jarHumidityPct }),
      })
    }
    if (e.kind === 'tested') for (const r of d.results ?? []) h.tests.push({ atMs: e.atMs, ...r })
    if (e.kind === 'checked') {
      h.checks.push({
        atMs: e.atMs,
        lookedAt: d.lookedAt ?? 0,
        bad: d.bad ?? 0,
        faults: d.faults ?? [],
        ...(d.lotSize ? { lotSize: d.lotSize } : {}),
      })
    }
    // a corrected finishing weight is what the lot began with in store, a use is not
    if (
      ['brought-in', 'split-in', 'finished', 'split-out', 'corrected', 'cleaned', 'loaded', 'jarred'].includes(e.kind)
    ) {
      h.weightAtFirstG = weightG
      h.piecesAtFirst = counted ? pieces : null
    }
    if (stage === 'stored' && placed(e)) h.storedAtMs = e.atMs
  }
  // what was cut up is counted no longer
  h.quantity = { weightG, pieces: counted && (pieces > 0 || weightG <= 0) ? pieces : null }
  if (stage !== 'stored') h.storedAtMs = null
  h.stage = weightG <= 0 ? 'gone' : stage
  return h
}
