import type { PlaceKind } from '../places'

/** Days over which the recent air of a place gives way to what the season usually brings. */
export const recentAirMemoryDays = 10

/** A place that holds something asks for a reading after so many days without. Judgement. */
export const quietDays = 3

/** Vapour that is let in settles with what is damp there: so much of the humidity follows the vapour, the rest the place. Judgement. */
export const vapourShare = 0.6

/** days of readings that outweigh what places of its kind usually have */
export const usualHumidityDays = 10

/** Hours after which what the forecast changed has left a place again. */
export const forecastFadesHours = 96

/** What is thought of a kind of place before anybody has measured: how sure of its yearly mean, °C, and of its gain. Judgement. */
export const unsureOfKind: Record<PlaceKind, { meanC: number; gain: number }> = {
  outdoors: { meanC: 2, gain: 0.2 },
  veranda: { meanC: 1.8, gain: 0.07 },
  loft: { meanC: 2.6, gain: 0.09 },
  room: { meanC: 1.5, gain: 0.06 },
  'cool-room': { meanC: 2.5, gain: 0.1 },
  shed: { meanC: 1.8, gain: 0.085 },
  cellar: { meanC: 2, gain: 0.08 },
  fridge: { meanC: 1.5, gain: 0.03 },
  freezer: { meanC: 2, gain: 0.03 },
  ground: { meanC: 2, gain: 0.09 },
  clamp: { meanC: 2.5, gain: 0.09 },
}

/** the same for vapour: mean, kPa, and share that comes through, of a place that is shut as well */
export const unsureVapour = { meanKPa: 0.18, share: 0.2, shut: 0.02 }

/** vapour comes in with the air, so much later than it is outdoors, days */
export const vapourLagDays = 1.5

/** a lag is known to within two thirds more or less */
export const lagLogSd = 0.5

/** What a day's mean strays from the fit: with doors and weather, for days on end, and by the hour it was read at. Judgement. */
export const strayKPa = 0.06
export const byHourC: Record<'still' | 'breezy', number> = { still: 0.8, breezy: 3 }

/** strays that are thought possible, °C, and what of the hour's: places are kept shut by some, open by others */
export const straysC = [0.12, 0.4, 1] as const
export const hourTimes = [0.3, 0.7, 1.4] as const
/** the same of vapour, kPa: outdoors, in a place beside weather nobody measured, and by the hour */
export const vapourStray = { outdoorsKPa: 0.2, unknownKPa: 0.15, byHourKPa: 0.12 } as const

/** a year outdoors that nobody measured is a guess: what a place follows of it is off by so much */
export const guessedYearShare = 0.2

/** Weather outdoors nobody has measured, °C, day by day, and a month's mean against the usual. Common knowledge, no source. */
export const weatherC = 3
export const monthC = 1.6
export const monthKPa = 0.08

/** What a place does that no fit knows: somebody heats, or leaves the door open, °C. Judgement. */
export const unmodelledC = 0.1
export const unmodelledKPa = 0.03

/** What strays stays so for about so long, days. Judgement. */
export const strayDays = 5

/** How much one night's coldest hour differs from the usual, outdoors, °C; in a place, what of it comes in. Common knowledge, no source. */
export const nightC = 3.5
export const stillC = 0.5

/** shares of the best life that count as well, and as good enough. Judgement. */
export const doesWellFrom = 0.7
export const doesFrom = 0.4

/** gas that reaches a lot counts from this share of the full amount on. Judgement. */
export const gasCountsFrom = 0.2

/** nights below freezing within the coming months that are a risk to be named */
export const frostNightsFrom = 0.5

/** warmer than this all along is no place to keep food, °C: it is written in °F. Judgement. */
export const warmestStoreC = 33

/** colder than this all along is a freezer read in °F that was written in °C. Judgement. */
export const coldestStoreC = -6

/** nights ahead that are warned of, and how likely frost has to be. Judgement: a night too many costs a blanket, one missed a crop. */
export const nightsAhead = 5
export const frostChance = 0.2

/** a forecast of a night's coldest hour is off by so much, and by more each day on, °C (sizes from memory) */
export const forecastOffC = 1.2
export const offMoreC = 0.35

/** how far a night falls below its day's mean, and how far off a guessed place may be, °C. Judgement. */
export const nightDropC = { still: 1, breezy: 3.5 } as const
export const guessedOffC = 1.5

/** hours of the last days that were damp enough for mould */
export const dampWatch = 72
export const dampHours = 48

/** A logger that wrote nearly every hour and has been still for so long is silent. Judgement. */
export const silentHours = 30
export const wroteHours = 100

/** a load put in warms a freezer for an evening; longer than that it is broken, open or off */
export const freezerWatch = 12
export const freezerWarmC = -12
export const freezerHours = 5

/** a look that brings the date forward by this much of what was left, and by days, is told */
export const worseShare = 0.25
export const worseDays = 14
export const worseFor = 10

/** What carrying a lot once has to save before it is proposed, kg. Judgement: an hour in the cellar is worth a supper. */
export const moveCostKg = 0.25

/** What a month beside something that smells spoils of what takes it on, share of its kilos. Judgement. */
export const smellShare = 0.02

/** what is stored is eaten evenly, and lasts so much longer than is looked ahead, months. Judgement. */
export const eatenAfterMonths = 2

/** less is supper and is left where it lies, kg */
export const leastArrangedKg = 0.8

/** a household fridge has room for so much of the harvest where nobody says, kg. Judgement. */
export const fridgeKg = 12
export const harvestKgPerLitre = 0.3

/** Winters an arrangement is weighed against: a usual one, and one of ten on either side, each with spells of its own. */
export const wintersAhead = [
  { z: 0, seed: 1 },
  { z: -1.2, seed: 2 },
  { z: 1.2, seed: 3 },
] as const
export const spellDays = 5

/** colder than this it does not get in what is called frost-safe, °C */
export const frostSafeC = 0.5

/** Weighs a degree, a point of humidity, light and skin that does not heal against one another: judgement. */
export const perDegree = 1
export const perPoint = 0.15
export const notHealing = 60

/** A place that follows the weather freezes and warms in turn: what the whole of the season is worth in degrees. */
export const swings = 15
export const keptLongDays = 45
export const lightCosts = 6

/**
 * The climate of a garden nobody has measured, by latitude, degrees, and height, m, from memory: the yearly mean falls by
 * so much a degree of latitude beyond the subtropics and with height; the season swings more the farther from the
 * equator; its warmest day is a month after the longest.
 */
export const guessedClimate = {
  meanC: 22,
  fromDeg: 30,
  perDegreeC: 0.6,
  perMetreC: 0.006,
  swing: { atEquatorC: 2, perDegreeC: 0.17, mostC: 16 },
  humidityPct: 77,
  warmestDay: { north: 201, south: 19 },
} as const

/** However thick its walls, so much of a frost outdoors may come into a place that is not called frost-safe. */
export const leastFrostIn = 0.25
