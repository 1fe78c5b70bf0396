import type { LineLotDetail, LineView } from '@vadose/contract/line'
import { hungInWords } from '@vadose/core/almanac'
import { hourMs, type AirSeries } from '@vadose/core/air'
import { curingOfLot, optionsFor, type House, type LotState, type PlaceState, workable } from '@vadose/core/forecast'
import { dayMs } from '@vadose/core/households'
import { pullKPa, weightCurve } from '@vadose/core/line'
import { curingView, dryerView, jarView, lotRow, troubledRows } from '../lots'

const backHours = 10 * 24
const aheadHours = 5 * 24
const stepHours = 6

/** Drying power of a place, six-hour means. */
const airPoints = (house: House, place: PlaceState) =>
  house.once(null, `air points ${place.id}`, [place.past, place.ahead], () => {
    const points: { at: string; pullKPa: number; ahead: boolean }[] = []
    const add = (air: AirSeries, from: number, to: number, ahead: boolean) => {
      for (let i = from; i + stepHours <= to; i += stepHours) {
        let sum = 0
        for (let k = 0; k < stepHours; k++) sum += pullKPa(air.vpdKPa[i + k]!, air.relativeHumidityPct[i + k]!)
        points.push({
          at: new Date(air.startMs + (i + stepHours / 2) * hourMs).toISOString(),
          pullKPa: sum / stepHours,
          ahead,
        })
      }
    }
    add(place.past, Math.max(0, place.past.hours - backHours), place.past.hours, false)
    add(place.ahead, 0, aheadHours, true)
    return points
  })

const dryingLot = (house: House, lot: LotState): LineView['lots'][number] => ({
  ...lotRow(house, lot),
  ...curingView(house, lot),
  hungOn: house.dateOf(lot.history.hungAtMs!),
  hungIn: lot.history.hungIn ? hungInWords[lot.history.hungIn] : null,
})

export function lineView(house: House): LineView {
  const at = (stage: LotState['stage']) => workable(house).filter((lot) => lot.stage === stage)
  const lots = at('drying')
  const used = house.places.filter((place) => lots.some((lot) => lot.placeId === place.id))
  return {
    troubled: troubledRows(house),
    lots: lots.map((lot) => house.seenOf(lot, 'on the line', () => dryingLot(house, lot))),
    air: used.map((place) => ({ placeId: place.id, place: place.name, points: airPoints(house, place) })),
    dryer: at('dryer').map((lot) => ({ ...lotRow(house, lot), load: dryerView(house, lot) })),
    jars: at('conditioning').map((lot) => ({ ...lotRow(house, lot), jar: jarView(house, lot) })),
  }
}

/** the curve goes on past the window by so much; where the window has no end, so far from now, days */
const pastWindowDays = 3
const openWindowDays = 21

export function lineLotDetail(house: House, lot: LotState): LineLotDetail {
  const { lot: curing, state } = curingOfLot(house, lot)
  const basis = lot.history.weighings.at(-1)?.basis ?? null
  const iso = (atMs: number) => new Date(atMs).toISOString()
  const readyMs = Number.isFinite(state.readyAtMs.p90) ? state.readyAtMs.p90 : house.nowMs + openWindowDays * dayMs
  return {
    code: lot.code,
    basis,
    weighings: lot.history.weighings
      .filter((w) => w.basis === basis)
      .map((w) => ({ at: iso(w.atMs), weightG: w.weightG })),
    curve: basis
      ? house.once(lot, 'weight curve', [state], () =>
          weightCurve(curing, state.posterior, basis, Math.max(house.nowMs, readyMs) + pastWindowDays * dayMs).map(
            ({ atMs, p10, p50, p90 }) => ({ at: iso(atMs), p10, p50, p90 }),
          ),
        )
      : [],
    options: optionsFor(house, lot),
  }
}
