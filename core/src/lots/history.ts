import type { LotEvent } from './event'
import type { Quantity } from './quantity'

export type Stage = 'drying' | 'fresh' | 'stored' | 'gone'

/** A lot as its events tell it. */
export interface LotHistory {
  quantity: Quantity
  stage: Stage
  broughtAtMs: number
  hungAtMs: number | null
  storedAtMs: number | null
  placeId: string | null
  /** where it was from when */
  stays: { atMs: number; placeId: string }[]
  airflow: { atMs: number; airflow: 'still' | 'breezy' | 'fan' }[]
  weighings: { atMs: number; weightG: number; basis: 'lot' | 'bunch' }[]
  tests: { atMs: number; test: string; passed: boolean }[]
  checks: { atMs: number; lookedAt: number; bad: number; lotSize?: number }[]
  pack: string | null
  weightAtFirstG: number
  piecesAtFirst: number | null
}

/** Reads a lot's events, oldest first. The lot is counted once an event has named pieces. */
export function lotHistory(events: readonly LotEvent[]): LotHistory {
  let weightG = 0
  let pieces = 0
  let counted = false
  const h: LotHistory = {
    quantity: { weightG: 0, pieces: null },
    stage: 'fresh',
    broughtAtMs: events[0]?.atMs ?? 0,
    hungAtMs: null,
    storedAtMs: null,
    placeId: null,
    stays: [],
    airflow: [],
    weighings: [],
    tests: [],
    checks: [],
    pack: null,
    weightAtFirstG: 0,
    piecesAtFirst: null,
  }
  for (const e of events) {
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
    if (e.kind === 'hung') h.hungAtMs = e.atMs
    if (e.kind === 'weighed' && d.scaleG) h.weighings.push({ atMs: e.atMs, weightG: d.scaleG, basis: d.basis ?? 'lot' })
    if (e.kind === 'tested') for (const r of d.results ?? []) h.tests.push({ atMs: e.atMs, ...r })
    if (e.kind === 'checked') {
      h.checks.push({
        atMs: e.atMs,
        lookedAt: d.lookedAt ?? 0,
        bad: d.bad ?? 0,
        ...(d.lotSize ? { lotSize: d.lotSize } : {}),
      })
    }
    // a corrected finishing weight is what the lot began with in store, a use is not
    if (['brought-in', 'split-in', 'finished', 'split-out', 'corrected'].includes(e.kind)) {
      h.weightAtFirstG = weightG
      h.piecesAtFirst = counted ? pieces : null
    }
    if (e.kind === 'finished' || e.kind === 'split-in') h.storedAtMs = e.atMs
  }
  h.quantity = { weightG, pieces: counted ? pieces : null }
  h.stage = weightG <= 0 ? 'gone' : h.storedAtMs !== null ? 'stored' : h.hungAtMs !== null ? 'drying' : 'fresh'
  return h
}
