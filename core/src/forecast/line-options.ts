import { degrees, told, type Message } from '../message'
import { airSeries, saturationVapourPressureKPa, type AirSeries } from '../air'
import { gentleDryingC, kitchenVapourKPa, thinLayerGain } from '../assumptions'
import type { Spread } from '../chance'
import { against, airflowAt, asItIs, curingOf, whatIf, type Alternative, type Outcome } from '../line'
import { placeKinds } from '../places'
import type { Pieces } from '../pieces'
import { floats } from '../rows'
import { curingOfLot, lineAhead, readyDates } from './curing'
import type { House } from './house'
import type { LotState } from './lot'

/** Something to do with a hanging lot, and what would come of it. */
export interface LineOption {
  id: string
  label: Message
  ready: Spread<string | null>
  /** days sooner than left as it is; null where the comparison has no end */
  daysSaved: number | null
  /** hours damp enough for mould in the next fortnight, and how many fewer than left as it is */
  mouldHoursAhead: number
  mouldHoursAvoided: number
  act: { act: 'fan'; on: boolean } | { act: 'thin' } | { act: 'move'; placeId: string } | null
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
      label: told('line.moveTo', { place: place.name.toLowerCase() }),
      airAhead: lineAhead(house, place),
      airflow: placeKinds[place.kind].airflow,
    }))
  const { clock, bunch } = curingOf(lot.cropData)
  if (clock === 'healing') return moves
  const airflow = airflowAt(curing.airflow, house.nowMs)
  const fan: Alternative =
    airflow === 'fan'
      ? { id: 'fan-off', label: told('line.fanOff'), airflow: here ? placeKinds[here.kind].airflow : 'breezy' }
      : { id: 'fan-on', label: told('line.fanOn'), airflow: 'fan' }
  const others: Alternative[] = [fan]
  if (here) {
    const ahead = lineAhead(house, here)
    if (!lot.history.airflow.at(-1)?.gain)
      others.push({
        id: 'thinner',
        label: told('line.thinner', { bunched: bunch ? 'yes' : 'no' }),
        // more of it meets the air: the pull counts for more
        airflow,
        gain: thinLayerGain,
      })
    const warmC = dryerC(lot)
    if (warmC !== null) {
      others.push({
        id: 'dryer',
        label: told('line.inDryer', { air: degrees(warmC) }),
        airAhead: house.once(lot, 'dryer air', [ahead, warmC], () => dryerAir(ahead, warmC)),
        airflow: 'fan',
      })
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
  return airSeries(like.startMs, floats(like.hours).fill(warmC), floats(like.hours).fill(rh))
}

/** Leaving it as it is, and all else that could be done. */
const waysFrom = (house: House, lot: LotState): Alternative[] => [
  asItIs(curingOfLot(house, lot).lot),
  ...alternatives(house, lot),
]

/** What would come of one. Other air in one place changes what comes of being carried there, and no more. */
function outcomeOf(house: House, lot: LotState, alternative: Alternative): Outcome {
  const curing = curingOfLot(house, lot)
  const { id, airAhead, airflow, gain } = alternative
  return house.once(lot, `option ${id}`, [curing, airAhead, airflow, gain], () =>
    whatIf(curing.lot, alternative, curing.state.posterior),
  )
}

/** Works out what would come of each, one at a time, for whoever must not be kept long. */
export function* weighingOptions(house: House, lot: LotState): Pieces {
  for (const alternative of waysFrom(house, lot)) {
    outcomeOf(house, lot, alternative)
    yield
  }
}

/** Leaving it as it is, then what would help, soonest ready first. */
export function optionsFor(house: House, lot: LotState): LineOption[] {
  const curing = curingOfLot(house, lot)
  return house.once(lot, 'options', [curing, ...house.places.map((place) => place.ahead)], () => {
    const outcomes = waysFrom(house, lot).map((way) => ({ ...outcomeOf(house, lot, way), label: way.label }))
    const [asIs, ...others] = against(outcomes[0]!, outcomes)
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
            : o.id === 'thinner'
              ? { act: 'thin' }
              : null,
      inDryer: o.id === 'dryer' && lot.cropData.dehydrating !== undefined,
    }))
  })
}
