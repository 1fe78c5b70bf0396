import type { CropGroup } from '../almanac'

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

/** Spread thinner or bunched smaller, a lot feels the air's pull as so much stronger: judgement. */
export const thinLayerGain = 1.3

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

/** What stops drying is the air's water activity, not its vapour pressure: nothing dries beyond this, %. */
export const driestLeavesPct = 97

/** over so many points below where a crop stands still the air's pull comes up to its full, % */
export const rampPct = 6

/** where an onion's skins stand still, %: what the pull of a place's air is drawn by */
export const skinsStandStillPct = 86

/** below this an hour gives nothing to speak of: kPa, or a share of the best healing */
export const hardlyGives = { pull: 0.02, healing: 0.1 }

/** Vapour pressure of the kitchen air a dehydrator draws in, kPa: 20 °C at 50 %. */
export const kitchenVapourKPa = 1.17

/** how far one weighing can mislead about the pace: edges dry before hearts. Judgement. */
export const weighedLogSd = 0.15

/** what is back for beads stays in at least so long, hours. Common practice, no source. */
export const leastAgainHours = 2

/**
 * No dryer keeps to a law: its air cycles, trays are changed round, skins close. Share of the time left that every model is
 * wrong by (log standard deviation), and of all the time where none is left. Found on four worlds that keep to none of the
 * laws: at 0.12 their windows held the truth 44 to 64 times in a hundred, at 0.22 they hold it about eight times in ten.
 */
export const dryerDiscrepancy = 0.22
export const leastDiscrepancy = 0.02

/** Peel, core and trimmings seldom come to more than the rest: below this share something was mistyped. */
export const leastPreparedShare = 0.4

/** What is left of a load's weight when it comes out of the dehydrator. Judgement: most fresh produce is four fifths water or more. */
export const dryerLeaves = 0.25

/** A hanging lot's scale and its end tests are wanted so often: oftener says little that is new. Common practice, no source. */
export const weighEveryDays = 4
export const testEveryDays = 2

/** standing still for less is a night's rest, hours */
export const stallCountsFromHours = 12

/** A gain under this is not worth telling, days. */
export const worthTellingDays = 1
/** and more moves than this are no advice */
export const mostTold = 6

/** what can be done without taking the lot apart comes first where it is nearly as good */
export const nearlyAsGood = 0.7
export const nearlyReady = 0.9

/** a day whose air pulls less than this on the mean is lost for drying, kPa. Judgement. */
export const hardlyPullsKPa = 0.05

/** A night in which what hangs under an open roof may freeze, °C on a screen's thermometer. Common practice, no source. */
export const hangingFrostC = 0.5
/** less rain wets nothing, mm */
export const rainFromMm = 1

/** above this mean humidity the air under an open roof hardly pulls, %. Judgement. */
export const dampFromPct = 80

/**
 * What a batch may dry towards, dry basis, and how likely each is before anything is weighed: a dehydrator's air at 10–20 %
 * leaves sugared fruit 2–10 % and vegetables less; drier than nothing is none. Judgement.
 */
export const dryingEquilibria = [
  { moisture: 0, weight: 0.3 },
  { moisture: 0.04, weight: 0.35 },
  { moisture: 0.08, weight: 0.25 },
  { moisture: 0.12, weight: 0.1 },
] as const

/** A scale and a hand are never better than this share of the moisture ratio. */
export const leastRatioSd = 0.004

/** Midilli–Kucuk's straight-line term must not be drawn far past the data: so many times the last weighing's hours. */
export const straightTermReach = 1.2

/** It comes down when it is ready with so much certainty, tests or none. */
export const readyEnough = 0.9

/** A load that weighs less than this share of what first went on is back for beads: it was dried before. */
export const backBelowShare = 0.9
