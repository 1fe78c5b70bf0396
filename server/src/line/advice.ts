import type { LineAdvice, LineOption } from '@vadose/contract/line'
import { airSeries, saturationVapourPressureKPa, type AirSeries } from '@vadose/core/air'
import { thinLayerGain } from '@vadose/core/assumptions'
import { airflowAt, curingOf, whatWouldHelp, type Alternative } from '@vadose/core/line'
import { placeKinds } from '@vadose/core/places'
import type { HouseholdState, LotState } from '../households'
import { readyDates } from '../lots'

/** Air a dehydrator draws in, kPa of vapour: a kitchen at 20 °C and half damp. */
const kitchenVapourKPa = 1.17
/** what is meant to germinate or to be eaten raw is not warmed further, °C. Common practice, no source. */
const gentleC = 35

/** What could be done with a hanging lot from now on. */
function alternatives(state: HouseholdState, lot: LotState): Alternative[] {
  const { lot: curing } = state.curing(lot)
  const here = state.place(lot.placeId)
  const moves = state.places
    .filter((place) => place.id !== lot.placeId && !['outdoors', 'freezer', 'fridge'].includes(place.kind))
    .map((place): Alternative => ({
      id: place.id,
      label: `Move to ${place.name.toLowerCase()}`,
      airAhead: state.lineAhead(place),
      airflow: placeKinds[place.kind].airflow,
    }))
  const { clock, bunch } = curingOf(lot.cropData)
  if (clock === 'healing') return moves
  const airflow = airflowAt(curing.airflow, state.nowMs)
  const fan: Alternative =
    airflow === 'fan'
      ? { id: 'fan-off', label: 'Here, fan off', airflow: here ? placeKinds[here.kind].airflow : 'breezy' }
      : { id: 'fan-on', label: 'Here, with a fan', airflow: 'fan' }
  const others: Alternative[] = [fan]
  if (here) {
    const ahead = state.lineAhead(here)
    others.push({
      id: 'thinner',
      label: bunch ? 'Here, in smaller bunches' : 'Here, spread thinner',
      // more of it meets the air: the pull counts for more
      airAhead: { ...ahead, vpdKPa: ahead.vpdKPa.map((kPa) => kPa * thinLayerGain) },
      airflow,
    })
    const warmC = dryerC(lot)
    if (warmC !== null) {
      others.push({ id: 'dryer', label: `In the dryer, ${warmC} °C`, airAhead: dryerAir(ahead, warmC), airflow: 'fan' })
    }
  }
  return [...others, ...moves]
}

/** How warm a dehydrator may be for it, or null where it has no business in one. */
function dryerC({ cropData, fate }: LotState): number | null {
  const { group, dehydrating } = cropData
  if (group === 'allium') return null
  if (fate === 'plant' || ['seed', 'legume'].includes(group)) return gentleC
  return dehydrating && ['herb', 'chilli', 'fruiting'].includes(group) ? dehydrating.airC.value[0] : null
}

function dryerAir(like: AirSeries, warmC: number): AirSeries {
  const rh = (100 * kitchenVapourKPa) / saturationVapourPressureKPa(warmC)
  return airSeries(like.startMs, new Float64Array(like.hours).fill(warmC), new Float64Array(like.hours).fill(rh))
}

const known = new WeakMap<HouseholdState, Map<string, LineOption[]>>()

/** Leaving it as it is, then what would help, soonest ready first. */
export function optionsFor(state: HouseholdState, lot: LotState): LineOption[] {
  const made = known.get(state) ?? new Map<string, LineOption[]>()
  known.set(state, made)
  const found = made.get(lot.id)
  if (found) return found
  const [asIs, ...others] = whatWouldHelp(state.curing(lot).lot, alternatives(state, lot))
  const options = [asIs!, ...others.sort((a, b) => a.readyAtMs.p50 - b.readyAtMs.p50)].map((o): LineOption => ({
    id: o.id,
    label: o.label,
    ready: readyDates(state, o.readyAtMs),
    daysSaved: Number.isFinite(o.daysSaved) ? o.daysSaved : null,
    mouldHoursAhead: o.mouldHoursAhead,
    mouldHoursAvoided: asIs!.mouldHoursAhead - o.mouldHoursAhead,
    act:
      o.id === 'fan-on' || o.id === 'fan-off'
        ? { act: 'fan', on: o.id === 'fan-on' }
        : state.place(o.id)
          ? { act: 'move', placeId: o.id }
          : null,
    to: o.id === 'dryer' && lot.cropData.dehydrating ? `/lots/${lot.code}/dry` : null,
  }))
  made.set(lot.id, options)
  return options
}

/** A day sooner weighs as much as so many hours of mould avoided. Judgement. */
const hoursADayIsWorth = 12
const worthTelling = 1
const mostTold = 6

/** What tomorrow's weather does to the whole line, and the moves that would help most, best first. */
export function lineAdvice(state: HouseholdState): LineAdvice {
  const lots = state.lots.filter((lot) => lot.stage === 'drying')
  const moves = lots
    .flatMap((lot) => {
      const [asIs, ...others] = optionsFor(state, lot)
      if (state.curing(lot).state.readyNow >= 0.9) return []
      const rated = others.map((option) => {
        // only this gets there at all
        const days = option.daysSaved ?? (option.ready.p50 && !asIs!.ready.p50 ? 60 : 0)
        return { option, gain: days + option.mouldHoursAvoided / hoursADayIsWorth }
      })
      // what can be done without taking the lot apart comes first where it is nearly as good
      const best = rated.sort((a, b) => b.gain - a.gain)[0]
      const simple = rated.find(({ option, gain }) => option.act && best && gain > best.gain * 0.7)
      const chosen = simple ?? best
      return chosen && chosen.gain >= worthTelling
        ? [{ code: lot.code, crop: lot.crop, heap: lot.heap, ...chosen }]
        : []
    })
    .sort((a, b) => b.gain - a.gain)
    .slice(0, mostTold)
    .map(({ code, crop, heap, option }) => ({ code, crop, heap, option }))
  return { tomorrow: tomorrow(state, lots), moves }
}

/** Mean pull of the air in each place that something hangs in, today and tomorrow. */
function tomorrow(state: HouseholdState, lots: LotState[]): LineAdvice['tomorrow'] {
  return state.places.flatMap((place) => {
    const here = lots.filter((lot) => lot.placeId === place.id && curingOf(lot.cropData).clock === 'drying-power')
    if (here.length === 0) return []
    const { past, ahead } = place
    const mean = (kPa: Float64Array) => kPa.reduce((a, b) => a + b, 0) / Math.max(1, kPa.length)
    const untilMidnight = 24 - new Date(state.nowMs).getUTCHours()
    const vpdKPa = mean(ahead.vpdKPa.subarray(untilMidnight, untilMidnight + 24))
    const stall = Math.max(...here.map((lot) => curingOf(lot.cropData).stallKPa.value))
    return [
      {
        placeId: place.id,
        place: place.name,
        lots: here.length,
        vpdKPa,
        lastDayKPa: mean(past.vpdKPa.subarray(Math.max(0, past.hours - 24))),
        stalls: vpdKPa <= stall,
        stallKPa: stall,
      },
    ]
  })
}
