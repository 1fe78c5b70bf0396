/** What the larder knows of a lot when it ranks it. */
export interface Eatable {
  code: string
  /** g */
  weightG: number
  /** share sound now, and share that will be in a fortnight if nobody eats it */
  soundNow: number
  soundInFortnight: number
}

/** With the loss that each kilo eaten now avoids in the coming fortnight, 0…1. */
export interface Ranked extends Eatable {
  lossAvoidedPerKg: number
}

export const ranked = <T extends Eatable>(lot: T): T & Ranked => ({
  ...lot,
  lossAvoidedPerKg: lot.soundNow > 0 ? Math.max(0, 1 - lot.soundInFortnight / lot.soundNow) : 0,
})

/**
 * Eat-first order: by the loss that is avoided, not by age. Ties go to the smaller lot, which is sooner out of the way,
 * and to the lower code.
 */
export const eatFirst = <T extends Ranked>(lots: readonly T[]): T[] =>
  lots
    .filter((lot) => lot.weightG > 0)
    .sort((a, b) => b.lossAvoidedPerKg - a.lossAvoidedPerKg || a.weightG - b.weightG || byCode(a.code, b.code))

const byCode = (a: string, b: string): number => a.length - b.length || (a < b ? -1 : 1)

/**
 * Share sound of a heap that is to be used within so many days: half gone when they are over.
 * @param age days since lifting
 */
export const useWithinShare = (age: number, withinDays: number): number =>
  Math.exp(-Math.LN2 * Math.max(0, age / withinDays) ** 3)
