/** What the larder knows of a lot when it ranks it. */
export interface Eatable {
  code: string
  /** g */
  weightG: number
  /** share sound now, and share that will be in a fortnight if nobody eats it */
  soundNow: number
  soundInFortnight: number
}

/**
 * Eat-first order: by the loss each kilo eaten now avoids in the coming fortnight, not by age.
 * Ties go to the smaller lot, which is sooner out of the way.
 */
export function eatFirst<T extends Eatable>(lots: readonly T[]): (T & { lossAvoidedPerKg: number })[] {
  return lots
    .filter((lot) => lot.weightG > 0)
    .map((lot) => ({
      ...lot,
      lossAvoidedPerKg: lot.soundNow > 0 ? Math.max(0, 1 - lot.soundInFortnight / lot.soundNow) : 0,
    }))
    .sort((a, b) => b.lossAvoidedPerKg - a.lossAvoidedPerKg || a.weightG - b.weightG)
}

/**
 * Share sound of a heap that is to be used within so many days: half gone when they are over.
 * @param age days since lifting
 */
export const useWithinShare = (age: number, withinDays: number): number =>
  Math.exp(-Math.LN2 * Math.max(0, age / withinDays) ** 3)
