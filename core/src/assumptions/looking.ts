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

/** A tenth that has gone already is followed by the next weeks', for saying what ends it. */
export const leastEndedDays = 14

/** A look that narrows nothing teaches nothing: precision gained, for each unit of log life squared. */
export const leastLessonGained = 1

/** less is not worth a sentence */
export const leastToldTimes = 1.03

/** what was thought of a lot so many days ago stands beside what is thought now */
export const movedBackDays = 7

/** less is the forecast breathing */
export const leastMovedDays = 3

/** what has lain for years is not lived through again for a sentence, days */
export const movedAtMostDays = 500

/** So many are looked at that a fault which one in ten has is caught nine times in ten. Common practice, no source. */
export const lookCatches = { badShare: 0.1, sure: 0.9 } as const
