/** A diseased bed is told of for so many years; common practice says four before the same family returns. */
export const bedYears = 4

/** scapes are cut at one to one and a half turns, and curl about half a turn in so many days. Common practice, no source. */
export const scapeTurns = { from: 1, to: 1.5 }
export const halfTurnDays = 4

/** looks come closer as the day does: halfway to it, within these bounds, days. Judgement. */
export const bedLookEvery = { least: 3, most: 21 }

/** before anything was seen, the first look comes so long before it is usually time, days */
export const bedFirstLookDays = 28

/** a sign looked at longer ago says less than one of now, days. Judgement. */
export const freshSignDays = 14

/** bent over, tops wither in one to two weeks. Common practice, no source. */
export const bentDays = [7, 14] as const

/** one lifted to try: too early is tried again in a week, ready stands for ten days. Judgement. */
export const tryAgainDays = 7
export const bedReadyDays = 10

/** last year's day, give or take, days. Judgement. */
export const yearsDiffer = 10

/** nothing stands longer than this without a word, days: a planting forgotten is not asked about for ever */
export const forgottenDays = 420

/** a bed is planted up within about so many days; later it is another planting, whatever became of the first */
export const plantingDays = 120

/** days after a harvest within which a look is at what was left standing */
export const leftStandingDays = 60

/** A screen's thermometer stands warmer than the ground: white frost comes from here down, °C. Common practice, no source. */
export const groundFrostC = 2
/** a day with less rain than this is dry, mm, and so many of them are wanted before lifting */
export const dryMm = 0.5
export const dryDaysWanted = 2

/** What is to cure is left unwatered for about so long before it is lifted, days. Common practice, no source. */
export const unwateredDays = 7
/** rain that waters, mm */
export const wetMm = 2
