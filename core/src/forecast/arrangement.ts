import { bestWays, waysThrough, type ArrangeLot, type ArrangeProblem } from '../arrange'
import { airSeries, hourMs, type AirSeries } from '../air'
import {
  eatenAfterMonths,
  fridgeKg,
  frostSafeC,
  fullGasKg,
  gasReaching,
  harvestKgPerLitre,
  leastArrangedKg,
  spellDays,
  weatherC,
  wintersAhead,
} from '../assumptions'
import { normalDeviate, stream } from '../chance'
import { dayOf, isDark, likeOf, placeKinds } from '../places'
import { usualPacking } from '../stores'
import type { House } from './house'
import { agesAhead } from './lived'
import type { LotState } from './lot'
import type { PlaceState } from './place'
import { workable } from './trouble'
import { wayLosses } from './way-losses'

/** so far ahead an arrangement looks: from now, months */
export const arrangedMonths = 6
const monthDays = 30.4
/** gas counts from this share of the full amount on */
const gasFrom = 0.2
/** the heaviest of more are what there is to save */
const mostLots = 80
/** small houses are looked at way by way; larger ones by the best of each lot's */
const allWaysUpTo = 8

/** A place’s air in one of them: the expected, off by as much as it may be, with the spells of weather that come through. */
function winterIn(house: House, place: PlaceState, { z, seed }: (typeof wintersAhead)[number]): AirSeries {
  return house.once(null, `winter ${seed} ${place.id}`, [place], () => {
    const { ahead, fit } = place
    const hours = Math.min(ahead.hours, (arrangedMonths + 1) * 31 * 24)
    const next = stream(seed * 7919)
    const stays = Math.exp(-1 / spellDays)
    const inside = Math.min(1, Math.max(0, fit.gain)) / Math.sqrt(1 + fit.lagDays / spellDays)
    const temperature = ahead.temperatureC.slice(0, hours)
    const safe = likeOf(place).frostSafe
    let spell = 0
    for (let i = 0; i < hours; i++) {
      if (i % 24 === 0) spell = stays * spell + weatherC * Math.sqrt(1 - stays * stays) * normalDeviate(next)
      const at = Math.min(fit.sdC.length - 1, dayOf(ahead.startMs + i * hourMs) - fit.firstDay)
      const t = temperature[i]! + z * fit.sdC[at]! + inside * spell
      temperature[i] = safe ? Math.max(frostSafeC, t) : t
    }
    return airSeries(ahead.startMs, temperature, ahead.relativeHumidityPct.slice(0, hours))
  })
}

const monthEnds = Array.from({ length: arrangedMonths }, (_, m) => Math.round((m + 1) * monthDays))

/** Places that something can be kept in, each whole with its parts. */
const openPlaces = (house: House): PlaceState[] =>
  house.places.filter(({ kind, within }) => within === null && !['outdoors', 'freezer'].includes(kind))

/** The lots of a house, the places they could lie in, and what each way would cost them. */
export function arrangementProblem(house: House): { problem: ArrangeProblem; places: PlaceState[] } {
  const places = openPlaces(house)
  const wholeOf = (placeId: string | null) => {
    const place = house.place(placeId)
    return places.findIndex(({ id }) => id === place?.id || id === place?.within)
  }
  const lots = workable(house)
    .filter(
      (lot) =>
        lot.stage === 'stored' &&
        lot.form === 'fresh' &&
        lot.grown.group !== 'goods' &&
        lot.weightG >= leastArrangedKg * 1000 &&
        wholeOf(lot.placeId) >= 0,
    )
    .sort((a, b) => b.weightG - a.weightG)
    .slice(0, mostLots)
  const all = lots.length <= allWaysUpTo
  return {
    places,
    problem: {
      months: arrangedMonths,
      places: places.map((place) => ({ id: place.id, holdsKg: roomOf(place) })),
      lots: lots.map((lot) => lotProblem(house, lot, places, wholeOf(lot.placeId), all)),
    },
  }
}

function roomOf(place: PlaceState): number | null {
  const { holdsKg, litres } = likeOf(place)
  return holdsKg ?? (place.kind !== 'fridge' ? null : litres === null ? fridgeKg : litres * harvestKgPerLitre)
}

function lotProblem(house: House, lot: LotState, places: readonly PlaceState[], at: number, all: boolean): ArrangeLot {
  const kg = lot.weightG / 1000
  const kgThen = monthEnds.map((_, m) => kg * (1 - m / (arrangedMonths + eatenAfterMonths)))
  const open = usualPacking(lot.cropData) !== 'sack' && lot.history.pack !== 'sack'
  const around = (place: PlaceState) => [0, 1].map((gas) => ({ light: open && !isDark(place), gas }))
  /** by winter, by place: how far each end comes, in calm air and beside what gives off gas */
  const winters = wintersAhead.map((winter) =>
    places.map((place) =>
      agesAhead(house, lot, { ...place, ahead: winterIn(house, place, winter) }, around(place), monthEnds),
    ),
  )
  const calm = winters.map((by) => by.map((ages) => ages[0]!))
  const gassed = winters.map((by) => by.map((ages) => ages[1]!))
  const lossOn = wayLosses(house, lot, kgThen, [...calm, ...gassed].flat())
  const lossOf = (way: readonly number[], by: typeof calm) =>
    by.reduce((sum, ages) => sum + lossOn(way, at, ages), 0) / by.length
  const staying = (p: number) => Array.from({ length: arrangedMonths }, () => p)
  const gasKg = places.map((_, p) => {
    const more = Math.max(0, lossOf(staying(p), gassed) - lossOf(staying(p), calm))
    const sum = kgThen.reduce((a, b) => a + b, 0)
    return kgThen.map((there) => (more * there) / sum)
  })
  const ways = waysThrough(
    arrangedMonths,
    places.map((_, p) => p),
    at,
  ).map((way) => ({
    ...way,
    lossKg: lossOf(way.places, calm),
  }))
  const { keeping, group } = lot.cropData
  const gives =
    gasReaching[keeping.ethyleneGiven.value] * kg >= gasFrom * fullGasKg[placeKinds[places[at]!.kind].airflow]
  return {
    code: lot.code,
    kg,
    kgThen,
    at,
    gives,
    smells: keeping.smell !== undefined,
    takesSmell: ['orchard', 'stone'].includes(group),
    gasKg,
    ways: all ? ways : bestWays(ways),
  }
}
