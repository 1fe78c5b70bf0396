import { describe, expect, it } from 'vitest'
import { seedLife } from '../stores'
import { isSeed } from './seed'

describe('seed for sowing', () => {
  it('is what was kept for sowing and has constants; cloves and tubers are planted', () => {
    expect(isSeed({ heap: 'sowing', crop: 'bean-drying' })).toBe(true)
    expect(isSeed({ heap: 'planting', crop: 'garlic-hardneck' })).toBe(false)
    expect(isSeed({ heap: 'sound', crop: 'pea' })).toBe(false)
  })
  it('onion seed is short-lived and peas are not, at 12 °C and 9 % (common practice, no source: onion one to two years, peas three and more)', () => {
    const after = (species: 'onion' | 'pea', years: number) =>
      seedLife(species, 12, 9, 95, { days: 365 * years }).viabilityPct
    expect(after('onion', 1)).toBeGreaterThan(75)
    expect(after('onion', 4)).toBeLessThan(after('pea', 4))
    expect(after('pea', 3)).toBeGreaterThan(80)
  })
})
