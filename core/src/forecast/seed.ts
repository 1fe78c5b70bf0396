import { addDays, daysBetween, type CivilDate } from '../households'
import { seedLife, type SeedSpecies } from '../stores'
import type { House } from './house'
import { meanAhead } from './air-ahead'
import type { LotState } from './lot'
import { freshSeedPct, lastBelowPct, seedJarMoisturePct, seedSprings, thickerBelowPct } from '../assumptions'

/** Whose constants a crop's seed goes by; a kin's where its own were never published, which is said. */
const speciesOf: Record<string, { species: SeedSpecies; kin?: true }> = {
  'onion-storing': { species: 'onion' },
  'onion-red': { species: 'onion' },
  'onion-sweet': { species: 'onion' },
  leek: { species: 'onion', kin: true },
  pea: { species: 'pea' },
  'pea-whole-pod': { species: 'pea' },
  'bean-drying': { species: 'cowpea', kin: true },
  'bean-runner': { species: 'cowpea', kin: true },
  'bean-green': { species: 'cowpea', kin: true },
  'bean-broad': { species: 'chickpea', kin: true },
  maize: { species: 'maize' },
  sweetcorn: { species: 'maize', kin: true },
  sunflower: { species: 'sunflower' },
  lettuce: { species: 'lettuce' },
  beetroot: { species: 'sugar-beet' },
  chard: { species: 'sugar-beet' },
  wheat: { species: 'barley', kin: true },
  kale: { species: 'oilseed-rape', kin: true },
  swede: { species: 'oilseed-rape', kin: true },
  turnip: { species: 'oilseed-rape', kin: true },
}

export interface SeedForecast {
  species: string
  /** the constants are a kin's */
  kin: boolean
  /** the last test: when, how many came up of how many */
  test: { on: CivilDate; sown: number; came: number } | null
  /** what is likely to come up in the springs to come, % */
  springs: { on: CivilDate; pct: number }[]
  advice: 'as-usual' | 'thicker' | 'sow-out'
  source: string
}

/** Whether a lot is seed for sowing: not cloves, tubers or bulbs that are planted. */
export const isSeed = ({ heap, crop }: Pick<LotState, 'heap' | 'crop'>): boolean =>
  (heap === 'sowing' || heap === 'seed') && crop in speciesOf

/** How a lot of seed keeps its life, from its last test or from fresh, in the air it will have. */
export function seedForecast(house: House, lot: LotState): SeedForecast | null {
  const of = isSeed(lot) ? speciesOf[lot.crop] : undefined
  const place = house.placeOf(lot)
  if (!of || !place || lot.stage !== 'stored') return null
  const { germination } = lot.history
  const from = germination ? house.dateOf(germination.atMs) : lot.broughtOn
  const started = germination ? (100 * germination.came) / germination.sown : freshSeedPct
  const temperatureC = Math.max(-20, Math.min(50, meanAhead(house, place, 365).temperatureC))
  const year = Number(house.today.slice(0, 4)) + (house.today.slice(5) < '03-01' ? 0 : 1)
  const at = (days: number) =>
    seedLife(of.species, temperatureC, seedJarMoisturePct, Math.max(1.1, Math.min(99, started)), { days })
  const ahead = Array.from({ length: seedSprings }, (_, i) => {
    const on = addDays(`${year + i}-03-01`, 0)
    return { on, pct: Math.round(at(Math.max(0, daysBetween(from, on))).viabilityPct) }
  })
  const next = ahead[0]!.pct
  return {
    species: of.species,
    kin: of.kin === true,
    test: germination ? { on: from, sown: germination.sown, came: germination.came } : null,
    springs: ahead,
    advice: next < lastBelowPct ? 'sow-out' : next < thickerBelowPct ? 'thicker' : 'as-usual',
    source: at(0).source,
  }
}
