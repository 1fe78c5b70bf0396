import type { End, GasLevel, Packing } from '../almanac'

/**
 * Days that what was set aside has: nicked or sprouting ones of what is firm lie some weeks, cut ones are for these days.
 * Common practice, no source.
 */
export const asideDays = {
  'eat-first': { firm: 21, soft: 4 },
  'cut-round': 3,
  cook: 2,
  freeze: 2,
  dry: 2,
  juice: 3,
  opened: 5,
} as const

/**
 * Days that what was opened has in the fridge: sweet, sour and salt keep it for weeks, a sauce for days. Where the label
 * says less, the label is right. Common practice, no source.
 */
export const openDays = {
  sweetOrSour: 30,
  jarred: 5,
  brined: 60,
  dried: 60,
  frozen: 2,
  cooked: 2,
  fresh: 30,
} as const

/** Slowing of water loss by packing, against the bare product in moving air of the published coefficients. */
export const packingFactor: Record<Packing, number> = {
  bare: 0.6,
  net: 0.32,
  plait: 0.4,
  sack: 0.28,
  box: 0.25,
  'damp-sand': 0.04,
  // against air nearly saturated, which is what stands in it
  bag: 0.3,
  jar: 0.002,
  vacuum: 0.002,
  mould: 0.3,
}

/**
 * A household eats what a shop could no longer sell: bearable loss at home as a multiple of the published
 * largest loss at which produce is still saleable.
 */
export const homeToleranceFactor = 2

/** Log standard deviation of a lot's life against the forecast, before anybody has looked. */
export const lotLifeLogSd = 0.28

/**
 * What sets one lot's life apart from another's, as shares of the variance between lots: the house's own ground and hands,
 * the variety, and what is not known of the place; the rest is the lot's own and its year's. Judgement: varieties of one
 * crop differ by more than one variety does from year to year.
 */
export const lifeVariance = { house: 0.25, variety: 0.35, place: 0.15 } as const

/**
 * How much longer or shorter a variety keeps than its crop usually does, where the household says so, and what of the
 * variance between varieties is left then. Keeping and early apples or onions: common practice, no source.
 */
export const varietyKeeps = { shorter: 0.7, usual: 1, longer: 1.4 } as const
export const varietySaidVariance = 0.5

/** Further off than so many standard deviations, a lot speaks the softer the further: a wet sack teaches little of its variety. */
export const lessonOutlierSd = 1.5

/**
 * Ripening gas from neighbours: how much of it reaches a lot in the same place, by how much the neighbours give off,
 * and days until half the pieces show it at 10 °C in the full amount, by how much the crop feels it. A shared cellar,
 * not a sealed box.
 */
export const gasReaching: Record<GasLevel, number> = { none: 0, little: 0.05, some: 0.4, much: 1 }
export const gasDays: Record<GasLevel, number> = { none: Infinity, little: 400, some: 90, much: 35 }

/**
 * Share of hurt or infected pieces that come in with a lot, and how many lots are so: most have hardly any, some a
 * tenth, a few a quarter. `many`: the nicked and bruised ones, kept apart. Judgement.
 */
export const cullShares: Record<'usual' | 'many', readonly (readonly [share: number, lots: number])[]> = {
  usual: [
    [0.01, 0.65],
    [0.04, 0.22],
    [0.1, 0.1],
    [0.25, 0.03],
  ],
  many: [
    [0.04, 0.2],
    [0.1, 0.35],
    [0.25, 0.3],
    [0.45, 0.15],
  ],
}

/** However much looks have taught, the time a lot has left is not the model's: log standard deviation. */
export const timeLeftLogSd = 0.27

/** Share of lots whose life is nothing like the forecast, and how much wider it spreads then. */
export const strangeLots = 0.25
export const strangeSd = 2.5

/**
 * Share of lots whose pieces are less alike than usual, and by how much: a factor on the shape of ageing and sprouting.
 * Wide enough that after three looks the band holds the day where pieces go one by one all winter, too.
 */
export const unlikeLots = 0.44
export const unlikeShape = 0.3

/**
 * Where drying out would end a lot first: how many lots are shut in better than their packing says, a lid on the crate or
 * a sheet over it, and how much slower those dry. Few enough to move no date before a look finds firm what should have
 * withered. Judgement.
 */
export const shutLots = 0.08
export const shutDrying = 0.15

/**
 * Share of a lot sound at the geometric middle of a handbook's storage life: the book says how long a lot stays good to
 * sell, some 85 to 95 % of it.
 */
export const soundAtBooksMiddle = 0.88

/** Kilos of ripening apples that fill a place with gas, by how its air moves: one bruised apple does nothing to a cellar. */
export const fullGasKg = { still: 15, breezy: 60 } as const

/**
 * How alike the pieces of a lot are for each end: Weibull shape, 1 = any day alike, 5 = nearly all at once.
 * Judgement: sprouting and shrivel come to a whole net within weeks, rot comes piece by piece.
 */
export const endShape: Record<End, number> = {
  sprouting: 5,
  'drying out': 5,
  rot: 4,
  rooting: 3,
  mould: 3,
  frost: 2,
  chilling: 3,
  greening: 3,
  ethylene: 3,
  'early rot': 1,
}

/** Half of the hurt ones have gone when the others have lived so much of their time: judgement, weeks for what keeps months. */
export const cullsAge = 0.06

/** How damp the air in a closed bag of fresh produce is, %. Common practice says 95 and more. */
export const bagHumidityPct = 96

/**
 * How fast one bad piece makes its neighbours bad: new ones a week, by how the lot lies. Judgement. In a closed jar of
 * dry goods nothing runs.
 */
export const spreadPerWeek: Record<Packing, number> = {
  net: 0.3,
  sack: 0.4,
  box: 0.35,
  plait: 0.15,
  bare: 0.12,
  'damp-sand': 0.25,
  bag: 0.35,
  jar: 0,
  vacuum: 0,
  mould: 0,
}

/** How long a rotten one runs before it has dried up or nothing sound touches it, days. Judgement. */
export const runsForDays = 12

/** A crop whose book cannot be met (something else ends it first) is not stretched further than this. */
export const mostPace = 4
export const leastPace = 0.25

/** Above this a respiration slope is carried no further than by `mostQ10`: it was fitted in the cold. */
export const slopeFittedToC = 10
export const mostQ10 = 2.5

/** What a lot in store can have lost as water since it was last weighed; more is not accounted for. Judgement. */
export const mostWaterShare = 0.2

/** What is kept dry rots so much faster for each point of humidity from so many above its best on. */
export const dampRot = { abovePct: 5, perPoint: 0.08 } as const

/**
 * Roots grow with the warmth of damp air, up to so many degrees; a crop's days of rooting are said for 10 °C and this
 * humidity, %.
 */
export const rootsGrow = { perDegree: 0.1, fastestC: 16, dampPct: 90 } as const

/** Light greens a tuber the faster the warmer it is, between these, °C; a crop's days of it are said for `of`. */
export const greensC = { lo: 3, hi: 26, of: 20 } as const

/**
 * How fast a neighbour's gas works, against 7 °C: half as fast at freezing, hardly below, twice as fast from 20 °C on,
 * where what ripens is done with it.
 */
export const gasPace = { frozen: 0.3, at0C: 0.5, perDegree: 0.075, fastest: 2, fastestC: 20 } as const

/** Half of a lot shows mould after so many days in air so many points above where it grows, %. */
export const halfMoulds = { pointsAbove: 10, days: 40 } as const

/** A degree of frost for a day is what half of a lot does not stand. */
export const halfFreezes = { degreeDays: 1 } as const

/** A crop's days of chilling are said for so many degrees below where it begins. */
export const chillsBelowC = 5
