import type { CropGroup } from '../almanac'

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

/** A day's pick is so much of a harvest. */
export const pickShare = 0.25

/** What is believed of a line's pace before it is watched: so many uses a week, as if watched for so many weeks. */
export const usualUsesPerWeek = 1.5
export const usePriorWeeks = 0.7

/** A use counts for half after so many weeks: households change what they cook. */
export const useHalfLifeWeeks = 8

/** How far a household's pace moves over a season: log standard deviation. */
export const paceDriftLogSd = 0.3

/** Older harvests than this are a slip of the year, days. */
export const oldestHarvestDays = 400

/** What stands on a shelf may be older than a harvest that is brought in late: a year before this is a slip of the pen. Judgement. */
export const oldestStockDays = 30 * 366

/** Relative spread of one use's amount that a few alike do not rule out, squared. Judgement. */
export const priorAmountCv2 = 0.15
export const amountPriorUses = 2

/** A few uses seldom show a line at its most usual: what that adds to the spread of the time, squared, where none was counted. Judgement. */
export const fewUses = 1.25

/** Days of eating that the pace is learnt from. */
export const watchedDays = 120

/** What a household eats from store in a week, g, where nobody has eaten of something yet: shared out by what there is. Judgement. */
export const appetiteG = 5000
/** a guessed pace may be so much slower or faster */
export const guessedPaceOff = { p10: 0.4, p90: 1.8 }

/** gone so little before the next crop is no shortage: harvests come a fortnight early or late, weeks */
export const shortByWeeks = 3

/** Spread of piece weights within one harvest, as a share of the mean. Judgement. */
export const sizeSpread = 0.28

/** how far the next harvest follows the weight of what is planted: a tenth heavier gives about 4 % more. Judgement. */
export const followsSize = 0.4

/** Surprises are asked about, never refused for good: `sure` passes. */
export const surpriseShare = 1.2

/** Peel and seed of what is cooked, a share of its weight, where nobody weighs them. Judgement. */
export const keptShare = { peelings: 0.15, seed: 0.03 }

/** Water in seed kept dry in a closed jar at home, % of its weight, and what comes up of it fresh. Judgement. */
export const seedJarMoisturePct = 9
export const freshSeedPct = 95
/** springs that are looked ahead to */
export const seedSprings = 5

/** below this so much thicker is sown; below that it is sown out, or not at all. Common practice, no source. */
export const thickerBelowPct = 80
export const lastBelowPct = 50

/** A weighing under this share of the last one is asked about: so much water has nothing lost at once. */
export const fallenShare = 0.4

/** Of a line of which so much of today's is left when its next crop comes, too much was grown. */
export const leftOverShare = 0.25

/**
 * What is missing at a count: water explains up to so much more than it may have cost, since neither scale is exact; the
 * usual pace explains it where it would have eaten so much of it.
 */
export const driedExplains = 1.3
export const paceExplains = 0.4
