import { airSeries, saturationVapourPressureKPa, type AirSeries } from '../air'
import { gentleDryingC, mouldHoursADayIsWorth, onlyWayWorthDays, thinLayerGain } from '../assumptions'
import type { Spread } from '../chance'
import { addDays, instantOf } from '../households'
import { airflowAt, curingOf, kitchenVapourKPa, pullKPa, whatWouldHelp, type Alternative } from '../line'
import { placeKinds } from '../places'
import { curingOfLot, lineAhead, readyDates } from './curing'
import { hoursBetween, type House } from './house'
import type { LotState } from './lot'
import type { PlaceState } from './place'

/** Something to do with a hanging lot, and what would come of it. */
export interface LineOption {
  id: string
  label: string
  ready: Spread<string | null>
  /** days sooner than left as it is; null where the comparison has no end */
  daysSaved: number | null
  /** hours damp enough for mould in the next fortnight, and how many fewer than left as it is */
  mouldHoursAhead: number
  mouldHoursAvoided: number
  act: { act: 'fan'; on: boolean } | { act: 'move'; placeId: string } | null
  /** it is done in the dehydrator */
  inDryer: boolean
}

/** No place to hang anything. */
const neverHung = ['outdoors', 'freezer', 'fridge']

/** What could be done with a hanging lot from now on. */
function alternatives(house: House, lot: LotState): Alternative[] {
  const { lot: curing } = curingOfLot(house, lot)
  const here = house.place(lot.placeId)
  const moves = house.places
    .filter((place) => place.id !== lot.placeId && !neverHung.includes(place.kind))
    .map((place): Alternative => ({
      id: place.id,
      label: `Move to ${place.name.toLowerCase()}`,
      airAhead: lineAhead(place),
      airflow: placeKinds[place.kind].airflow,
    }))
  const { clock, bunch } = curingOf(lot.cropData)
  if (clock === 'healing') return moves
  const airflow = airflowAt(curing.airflow, house.nowMs)
  const fan: Alternative =
    airflow === 'fan'
      ? { id: 'fan-off', label: 'Here, fan off', airflow: here ? placeKinds[here.kind].airflow : 'breezy' }
      : { id: 'fan-on', label: 'Here, with a fan', airflow: 'fan' }
  const others: Alternative[] = [fan]
  if (here) {
    const ahead = lineAhead(here)
    others.push({
      id: 'thinner',
      label: bunch ? 'Here, in smaller bunches' : 'Here, spread thinner',
      // more of it meets the air: the pull counts for more
      airflow,
      gain: thinLayerGain,
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
  if (fate === 'plant' || ['seed', 'legume'].includes(group)) return gentleDryingC
  return dehydrating && ['herb', 'chilli', 'fruiting'].includes(group) ? dehydrating.airC.value[0] : null
}

function dryerAir(like: AirSeries, warmC: number): AirSeries {
  const rh = (100 * kitchenVapourKPa) / saturationVapourPressureKPa(warmC)
  return airSeries(like.startMs, new Float64Array(like.hours).fill(warmC), new Float64Array(like.hours).fill(rh))
}

/** Leaving it as it is, then what would help, soonest ready first. */
export function optionsFor(house: House, lot: LotState): LineOption[] {
  const curing = curingOfLot(house, lot)
  return house.once(lot, 'options', [curing, ...house.places.map((place) => place.ahead)], () => {
    const [asIs, ...others] = whatWouldHelp(curing.lot, alternatives(house, lot))
    return [asIs!, ...others.sort((a, b) => a.readyAtMs.p50 - b.readyAtMs.p50)].map((o): LineOption => ({
      id: o.id,
      label: o.label,
      ready: readyDates(house, o.readyAtMs),
      daysSaved: Number.isFinite(o.daysSaved) ? o.daysSaved : null,
      mouldHoursAhead: o.mouldHoursAhead,
      mouldHoursAvoided: asIs!.mouldHoursAhead - o.mouldHoursAhead,
      act:
        o.id === 'fan-on' || o.id === 'fan-off'
          ? { act: 'fan', on: o.id === 'fan-on' }
          : house.place(o.id)
            ? { act: 'move', placeId: o.id }
            : null,
      inDryer: o.id === 'dryer' && lot.cropData.dehydrating !== undefined,
    }))
  })
}

/** A gain under this is not worth telling, days. */
const worthTelling = 1
const mostTold = 6
/** what can be done without taking the lot apart comes first where it is nearly as good */
const nearlyAsGood = 0.7
const nearlyReady = 0.9

/** The moves that would help the whole line most, best first. */
export function bestMoves(house: House): { lot: LotState; option: LineOption }[] {
  return house.lots
    .filter((lot) => lot.stage === 'drying' && curingOfLot(house, lot).state.readyNow < nearlyReady)
    .flatMap((lot) => {
      const [asIs, ...others] = optionsFor(house, lot)
      const rated = others.map((option) => {
        // only this gets there at all
        const days = option.daysSaved ?? (option.ready.p50 && !asIs!.ready.p50 ? onlyWayWorthDays : 0)
        return { option, gain: days + option.mouldHoursAvoided / mouldHoursADayIsWorth }
      })
      const best = rated.sort((a, b) => b.gain - a.gain)[0]
      const simple = rated.find(({ option, gain }) => option.act && best && gain > best.gain * nearlyAsGood)
      const chosen = simple ?? best
      return chosen && chosen.gain >= worthTelling ? [{ lot, ...chosen }] : []
    })
    .sort((a, b) => b.gain - a.gain)
    .slice(0, mostTold)
    .map(({ lot, option }) => ({ lot, option }))
}

/** a day whose air pulls less than this on the mean is lost for drying, kPa. Judgement. */
const hardlyPullsKPa = 0.05

function meanPull(air: AirSeries, from: number, to: number): number {
  let sum = 0
  for (let i = from; i < Math.min(air.hours, to); i++) sum += pullKPa(air.vpdKPa[i]!, air.relativeHumidityPct[i]!)
  return sum / Math.max(1, to - from)
}

/** Mean pull of the air in each place that something hangs in, over the last day and over the household's tomorrow. */
export function pullTomorrow(house: House) {
  const lots = house.lots.filter((lot) => lot.stage === 'drying' && curingOf(lot.cropData).clock === 'drying-power')
  const tomorrow = addDays(house.today, 1)
  const { timeZone } = house.household
  return house.places.flatMap((place: PlaceState) => {
    const here = lots.filter((lot) => lot.placeId === place.id)
    if (here.length === 0) return []
    const { past, ahead } = place
    const from = hoursBetween(ahead.startMs, instantOf(tomorrow, 0, timeZone))
    const to = hoursBetween(ahead.startMs, instantOf(addDays(tomorrow, 1), 0, timeZone))
    const kPa = meanPull(ahead, from, to)
    return [
      {
        place,
        lots: here.length,
        pullKPa: kPa,
        lastDayKPa: meanPull(past, Math.max(0, past.hours - 24), past.hours),
        stalls: kPa < hardlyPullsKPa,
      },
    ]
  })
}
