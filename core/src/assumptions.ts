/**
 * Our own judgements, each with why. Everything here may be set by the household later;
 * numbers with a book behind them stand with the crop instead.
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
export const curingCapKPa = 2.2

/** What a weighing misses the fitted curve by, as a share of the weight: a swinging bunch on a hanging scale, and the curve itself. */
export const scaleNoise = 0.009

/** How unlike the recent days the coming weeks may be: log standard deviation of the drying power ahead. */
export const weatherAheadLogSd = 0.25

/** Share of the losable water that is gone when a bulb counts as cured. */
export const curedShare = 0.95

/** Slowing of water loss by packing, against the bare product in moving air of the published coefficients. */
export const packingFactor = {
  bare: 0.6,
  net: 0.32,
  plait: 0.4,
  sack: 0.28,
  box: 0.25,
  'damp-sand': 0.04,
} as const

/**
 * A household eats what a shop could no longer sell: bearable loss at home as a multiple of the published
 * largest loss at which produce is still saleable.
 */
export const homeToleranceFactor = 2

/** Log standard deviation of a lot's life against the forecast, before anybody has looked. */
export const lotLifeLogSd = 0.28

/** Days over which the recent air of a place gives way to what the season usually brings. */
export const recentAirMemoryDays = 10

/** Newly bad pieces a household will bear before it wants to look: a share of the lot, and never under one piece. */
export const bearableBadShare = 0.02

/** Nobody looks oftener or should look less often than this, days. */
export const checkIntervalDays = { lo: 3, hi: 42 } as const

/** Prior belief about how fast a line is eaten, as if it had been watched for this many weeks. */
export const useRatePriorWeeks = 2
