export type Units = 'metric' | 'us'

export const gramsPerPound = 453.59237
export const gramsPerOunce = gramsPerPound / 16

const number = (value: number, digits = 0) =>
  value.toLocaleString('en-GB', { minimumFractionDigits: digits, maximumFractionDigits: digits }).replace('-', '−')

/** Rain as the household measures it: millimetres, or inches where it weighs in pounds. */
export const rainWords = (mm: number, units: Units, digits = 0): string =>
  units === 'us' ? `${number(mm / 25.4, mm < 2.54 ? 2 : 1)} in` : `${number(mm, digits)} mm`

/**
 * A weight as people say it: grams under a kilo, then kilos with sensible rounding; ounces and pounds where the
 * household weighs so.
 */
export function weightWords(g: number, units: Units): string {
  if (units === 'us') {
    const oz = g / gramsPerOunce
    if (Math.abs(oz) < 16) return `${number(oz, Math.abs(oz) < 3 ? 1 : 0)} oz`
    return `${number(g / gramsPerPound, Math.abs(oz) < 160 ? 2 : 1)} lb`
  }
  if (Math.abs(g) < 1000) return `${number(g)} g`
  return `${number(g / 1000, Math.abs(g) < 10_000 ? 2 : 1)} kg`
}
