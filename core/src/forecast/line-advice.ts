import type { AirSeries } from '../air'
import {
  hardlyPullsKPa,
  mostTold,
  mouldHoursADayIsWorth,
  nearlyAsGood,
  nearlyReady,
  onlyWayWorthDays,
  worthTellingDays,
} from '../assumptions'
import { addDays, instantOf } from '../households'
import { curingOf, pullKPa } from '../line'
import { curingOfLot } from './curing'
import { hoursBetween, type House } from './house'
import { optionsFor, type LineOption } from './line-options'
import type { LotState } from './lot'
import type { PlaceState } from './place'
import { workable } from './trouble'

/** The moves that would help the whole line most, best first. */
export function bestMoves(house: House): { lot: LotState; option: LineOption }[] {
  return workable(house)
    .filter((lot) => lot.stage === 'drying' && curingOfLot(house, lot).state.readyNow < nearlyReady)
    .flatMap((lot) => {
      const [asIs, ...others] = optionsFor(house, lot)
      const rated = others.map((option) => {
        // only this gets there at all
        const days = option.daysSaved ?? (option.ready.p50 && !asIs!.ready.p50 ? onlyWayWorthDays : 0)
        // skins heal in damp air: it is not what they are carried away from
        const damp = lot.cropData.curing?.clock === 'healing' ? 0 : option.mouldHoursAvoided
        return { option, gain: days + damp / mouldHoursADayIsWorth }
      })
      const best = rated.sort((a, b) => b.gain - a.gain)[0]
      const simple = rated.find(({ option, gain }) => option.act && best && gain > best.gain * nearlyAsGood)
      const chosen = simple ?? best
      return chosen && chosen.gain >= worthTellingDays ? [{ lot, ...chosen }] : []
    })
    .sort((a, b) => b.gain - a.gain)
    .slice(0, mostTold)
    .map(({ lot, option }) => ({ lot, option }))
}

function meanPull(air: AirSeries, from: number, to: number): number {
  let sum = 0
  for (let i = from; i < Math.min(air.hours, to); i++) sum += pullKPa(air.vpdKPa[i]!, air.relativeHumidityPct[i]!)
  return sum / Math.max(1, to - from)
}

/** Mean pull of the air in each place that something hangs in, over the last day and over the household's tomorrow. */
export function pullTomorrow(house: House) {
  const lots = workable(house).filter(
    (lot) => lot.stage === 'drying' && curingOf(lot.cropData).clock === 'drying-power',
  )
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
