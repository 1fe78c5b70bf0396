import type { CropGroup, GasLevel, Packing } from './almanac'

/**
 * Our own judgements, each with why. What is a matter of house and habit a household sets for itself
 * (almanac/habits.ts); numbers with a book behind them stand with the crop instead, where it may set those too.
 */

/** How much of the drying power reaches a hanging crop, by how the air moves. 1 is a breezy, shaded place. */
export const airflowFactor = {
  /** A closed room: the layer of damp air round the crop is not carried off. Common practice: about twice as slow. */
  still: 0.55,
  breezy: 1,
  /** A fan helps, but the inner layers set the pace, so it does not double it. */
  fan: 1.35,
} as const

/** Water has to come through the layers: above this pull the skins dry, the neck does not follow. kPa */
export const curingCapKPa = 1.65

/**
 * What a weighing misses the fitted curve by, as a share of the weight, and the curve itself: the whole lot on a kitchen
 * scale, a swinging bunch on a hanging one.
 */
export const scaleNoise = { lot: 0.006, bunch: 0.015 } as const

/** One bunch is not the lot: how its pace differs from that of half of them, log standard deviation. Judgement. */
export const bunchLogSd = 0.25

/**
 * Air under a roof moves more on one day than on another: variance of the drying power spent, kPa·h for each kPa·h.
 * A fifth more or less from day to day at twenty kPa·h a day.
 */
export const airflowWalkKPaH = 0.8

/** How unlike the recent days the coming weeks may be: log standard deviation of the drying power ahead. */
export const weatherAheadLogSd = 0.2

/** Share of the losable water that is gone when a bulb counts as cured. */
export const curedShare = 0.95

/** A harvest above so much is asked about, kg: several times what a large kitchen garden lifts of it in a day. */
export const askedAboveKg: Record<CropGroup, number> = {
  allium: 300,
  tuber: 800,
  squash: 600,
  root: 500,
  cabbage: 400,
  leaf: 60,
  fruiting: 200,
  legume: 80,
  orchard: 800,
  stone: 300,
  berry: 60,
  herb: 30,
  seed: 40,
  brining: 200,
  goods: 200,
}
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

/**
 * The most that cutting tops, roots, pods and peel usually takes off, as a share of what hung; more is asked about.
 * Common practice, no source.
 */
export const trimmedShare: Record<CropGroup, number> = {
  allium: 0.4,
  tuber: 0.06,
  squash: 0.08,
  root: 0.4,
  cabbage: 0.4,
  leaf: 0.3,
  fruiting: 0.15,
  legume: 0.7,
  orchard: 0.15,
  stone: 0.15,
  berry: 0.15,
  herb: 0.7,
  seed: 0.9,
  brining: 0.3,
  goods: 0.5,
}

/** A day's pick is so much of a harvest. */
export const pickShare = 0.25

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

/** Days over which the recent air of a place gives way to what the season usually brings. */
export const recentAirMemoryDays = 10

/** Spread thinner or bunched smaller, a lot feels the air's pull as so much stronger: judgement. */
export const thinLayerGain = 1.3

/**
 * What may be expected to be spoilt by neighbours between two looks before a household wants to look: of a hundred pieces,
 * and of other lots by the root of how many there are. Somebody goes through the stores every week or three (common
 * practice, no source): so does this on average, the shorter lived the oftener.
 */
export const bearableBadShare = 0.002

/** However it goes, a lot is looked at before so much of what is sound is expected to be gone. */
export const lookBeforeLost = 0.2

/** The first looks, days from storing: what came in hurt has shown by then. Common practice, no source. */
export const firstLookDays: readonly number[] = [14, 28]
/** nor does what came in hurt show before so many */
export const firstLookNotBeforeDays = 10

/** Whoever looked knows what lies there for so long, days, and is not sent back because its time is over. Judgement. */
export const knownForDays = 7

/** More bad than this among those looked at: go through all of them. Common practice, no source. */
export const goThroughAllShare = 0.25

/** A running piece wants finding before it has spoilt any: it counts for this much of a neighbour spoilt. */
export const ownHarm = 0.02

/**
 * How unlike a binomial draw the bad ones of a look are: pieces of one bed, net or hand share their fate, and the book's
 * curve is not this lot's. Correlation between the pieces looked at.
 */
export const looksCorrelation = 0.02

/** Of the bad ones looked at, the share that is noticed: judgement. */
export const foundByLooking = 0.95

/** Nobody looks oftener or should look less often than this, days. */
export const checkIntervalDays = { lo: 3, hi: 56 } as const

/** What is believed of a line's pace before it is watched: so many uses a week, as if watched for so many weeks. */
export const usualUsesPerWeek = 1.5
export const usePriorWeeks = 0.7

/** A use counts for half after so many weeks: households change what they cook. */
export const useHalfLifeWeeks = 8

/** How far a household's pace moves over a season: log standard deviation. */
export const paceDriftLogSd = 0.3

/**
 * Ripening gas from neighbours: how much of it reaches a lot in the same place, by how much the neighbours give off,
 * and days until half the pieces show it at 10 °C in the full amount, by how much the crop feels it. A shared cellar,
 * not a sealed box.
 */
export const gasReaching: Record<GasLevel, number> = { none: 0, little: 0.05, some: 0.4, much: 1 }
export const gasDays: Record<GasLevel, number> = { none: Infinity, little: 400, some: 90, much: 35 }

/**
 * Healing skins: below the best temperature it slows in a straight line to nothing this many degrees lower (never
 * below 2 °C), above it to nothing `aboveC` higher; each point of humidity outside the best range costs `perPoint`.
 * Fitted to the practice ranges of potato, sweet potato and squash.
 */
export const healing = { belowC: 14, aboveC: 12, perPoint: 0.02, least: 0.3 } as const

/** What is meant to germinate or to be eaten raw is not warmed further when it is dried, °C. Common practice, no source. */
export const gentleDryingC = 35

/** On the line, a day sooner weighs as much as so many hours of mould avoided. */
export const mouldHoursADayIsWorth = 12

/** What alone gets a lot dry at all counts as so many days saved. */
export const onlyWayWorthDays = 60

/** What joins a lot on the line later than this would hold it back; what joins one in store is another age, days. */
export const joinsWithinDays = { hanging: 3, stored: 10 } as const

/** A diseased bed is told of for so many years; common practice says four before the same family returns. */
export const bedYears = 4

/** Older harvests than this are a slip of the year, days. */
export const oldestHarvestDays = 400
/** What stands on a shelf may be older than a harvest that is brought in late: a year before this is a slip of the pen. Judgement. */
export const oldestStockDays = 30 * 366

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
