import type { LineLotDetail, LineView } from '@vadose/contract/line'
import { hourMs } from '@vadose/core/air'
import { hungInWords } from '@vadose/core/almanac'
import { weightCurve } from '@vadose/core/line'
import { Refusal } from '@vadose/core/refusal'
import { Router } from 'express'
import type { Pool } from '../database'
import { currentState, type PlaceState } from '../households'
import { curingView, dryerView, jarView, lotRow } from '../lots'
import { lineAdvice, optionsFor } from './advice'

const backHours = 10 * 24
const aheadHours = 5 * 24
const stepHours = 6

/** Drying power of a place, six-hour means. */
function airPoints(place: PlaceState) {
  const points: { at: string; vpdKPa: number; ahead: boolean }[] = []
  const add = (vpd: Float64Array, startMs: number, from: number, to: number, ahead: boolean) => {
    for (let i = from; i + stepHours <= to; i += stepHours) {
      let sum = 0
      for (let k = 0; k < stepHours; k++) sum += vpd[i + k]!
      points.push({
        at: new Date(startMs + (i + stepHours / 2) * hourMs).toISOString(),
        vpdKPa: sum / stepHours,
        ahead,
      })
    }
  }
  add(place.past.vpdKPa, place.past.startMs, Math.max(0, place.past.hours - backHours), place.past.hours, false)
  add(place.ahead.vpdKPa, place.ahead.startMs, 0, aheadHours, true)
  return points
}

export function lineRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/line', async (request, response) => {
    const state = await currentState(pool, request)
    const lots = state.lots.filter((lot) => lot.stage === 'drying')
    const used = state.places.filter((place) => lots.some((lot) => lot.placeId === place.id))
    response.json({
      lots: lots.map((lot) => ({
        ...lotRow(lot),
        ...curingView(state, lot),
        hungOn: state.dateOf(lot.history.hungAtMs!),
        hungIn: lot.history.hungIn ? hungInWords[lot.history.hungIn] : null,
      })),
      air: used.map((place) => ({ placeId: place.id, place: place.name, points: airPoints(place) })),
      dryer: state.lots
        .filter((lot) => lot.stage === 'dryer')
        .map((lot) => ({ ...lotRow(lot), load: dryerView(state, lot) })),
      jars: state.lots
        .filter((lot) => lot.stage === 'conditioning')
        .map((lot) => ({ ...lotRow(lot), jar: jarView(state, lot) })),
      stallKPa: lots[0]?.cropData.curing?.stallKPa.value ?? 0.15,
    } satisfies LineView)
  })

  router.get('/line-advice', async (request, response) => {
    response.json(lineAdvice(await currentState(pool, request)))
  })

  router.get('/line/:code', async (request, response) => {
    const state = await currentState(pool, request)
    const lot = state.lots.find((l) => l.code === request.params.code && l.stage === 'drying')
    if (!lot) throw new Refusal('not-found', `There is no lot ${request.params.code} on the line.`)
    const { lot: curing, state: now } = state.curing(lot)
    const basis = lot.history.weighings.at(-1)?.basis ?? null
    response.json({
      code: lot.code,
      basis,
      weighings: lot.history.weighings
        .filter((w) => w.basis === basis)
        .map((w) => ({ at: new Date(w.atMs).toISOString(), weightG: w.weightG })),
      curve: basis
        ? weightCurve(
            curing,
            now.posterior,
            basis,
            Math.max(state.nowMs, limit(now.readyAtMs.p90, state.nowMs)) + 3 * 24 * hourMs,
          ).map((p) => ({ at: new Date(p.atMs).toISOString(), p10: p.p10, p50: p.p50, p90: p.p90 }))
        : [],
      options: optionsFor(state, lot),
    } satisfies LineLotDetail)
  })

  return router
}

/** An end for the chart where the window has none. */
const limit = (ms: number, nowMs: number) => (Number.isFinite(ms) ? ms : nowMs + 21 * 24 * hourMs)
