/** A ferment is tasted every few days from a day on, until it goes into the cold. Common practice, no source. */
export const tasteEveryDays = 3

/** Peel, cores, stones and cooking seldom take more than this leaves. Judgement. */
export const leastPackedShare = 0.25

/** Blanching adds a little water. Judgement. */
export const mostPackedShare = 1.15

/** lids are asked about for so many days; who did not look then finds out at the next look */
export const sealDays = 14

/** Judgement: packed vegetables, middle of what the texts give. */
export const packedFood = { unfrozenDensity: 1050, frozenDensity: 980, frozenConductivity: 1.3 }
/** as warm as it comes from the sink, °C */
export const usualInitialC = 15

/** Judgement: past the rule by so much, bags in the middle may have crystals yet; beyond it nothing is trusted unread. */
export const bagByBagUpTo = 1.5

/** Frozen again, a bag is good for so many days more. Judgement: quality has gone, not safety. */
export const refrozenDays = 60

/** Judgement: washing, draining and spreading out one batch, minutes. */
export const handlingMinutes = 6
/** what goes in raw is cut and spread, minutes a kilo */
export const rawMinutesPerKg = 12

/** In the fridge what was picked ages so much slower than in the kitchen. Judgement. */
export const fridgeAges = 0.5

/** What of a stove's power reaches the pan, and how cold the tap runs, °C. */
export const stoveShare = 0.7
export const tapC = 14

/**
 * Hours after picking within which it should be in the freezer, from “the same day, a day or two at most”: sugar turns to
 * starch within the day, what is soft goes next.
 */
export const freezeWithin = { sweet: 12, soft: 24, legume: 30, other: 48 } as const

/** Spread in one layer at −18 °C: small pieces are hard after so many minutes. Common practice, no source. */
export const trayMinutes = 150

/** a bag filled, pressed out and labelled. Judgement. */
export const bagMinutes = 4

/** warmer than usual by so much, and than this, is a lid ajar or a load put in, not the compressor's round. Judgement. */
export const warmSpellC = 4
export const coldEnoughC = -15

/** Oil that was hot goes rancid sooner: in a closed jar, cool and dark, days. Common practice, no source. */
export const roastedLifeDays = 90
