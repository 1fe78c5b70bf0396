import { requireWithin } from '../refusal'

const gramsPerPound = 453.59237
const litresPerCubicFoot = 28.316846592

/** Most fresh food a freezer freezes in 24 hours, kg a litre: 3 lb a cubic foot; 2 lb is the careful end. @source NCHFP (recalled) */
export const loadKgPerLitre = {
  careful: (2 * gramsPerPound) / litresPerCubicFoot / 1000,
  most: (3 * gramsPerPound) / litresPerCubicFoot / 1000,
} as const

/**
 * How much to put in at once and how many days a harvest takes.
 * @throws Refusal `out-of-range`
 * @source NCHFP: no more than 2 to 3 pounds a cubic foot of freezer in 24 hours (recalled, not re-read)
 */
export function freezerLoad(freezerLitres: number, produceKg: number) {
  requireWithin(freezerLitres, 5, 5000, 'freezerLitres', 'L')
  requireWithin(produceKg, 0, 5000, 'produceKg', 'kg')
  const maxKgPerDay = freezerLitres * loadKgPerLitre.most
  return {
    maxKgPerDay,
    carefulKgPerDay: freezerLitres * loadKgPerLitre.careful,
    days: Math.ceil(produceKg / maxKgPerDay - 1e-9),
  }
}
