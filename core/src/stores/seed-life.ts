import { normalQuantile, normalShare } from '../chance'
import { told, fieldNamed } from '../message'
import { Refusal, requireWithin } from '../refusal'

const er = 'Ellis & Roberts 1980, Ann. Bot. 45:13–30; 1981, Seed Sci. Technol. 9:373–409 (recalled, not re-read)'
const legumes = 'Ellis, Osei-Bonsu & Roberts 1982, Ann. Bot. 50:69–82 (recalled, not re-read)'
const universal = 'Dickie et al. 1990, Ann. Bot. 65:197–204; Hong, Linington & Ellis 1996 (recalled, unsure)'
const constants = (ke: number, cw: number, ch: number, cq: number, source: string) => ({ ke, cw, ch, cq, source })
const general = (ke: number, cw: number) => constants(ke, cw, 0.0329, 0.000478, universal)

/** Viability constants by species. Never mixed with the older straight-line equation of 1973. */
export const seedSpecies = {
  onion: constants(6.975, 3.47, 0.04, 0.000428, er),
  barley: constants(9.983, 5.896, 0.04, 0.000428, er),
  soybean: constants(7.748, 3.979, 0.053, 0.000228, legumes),
  chickpea: constants(9.07, 4.829, 0.045, 0.000324, legumes),
  cowpea: constants(8.69, 4.715, 0.026, 0.000498, legumes),
  lettuce: constants(8.218, 4.797, 0.0489, 0.000365, 'Kraak & Vos 1987, Ann. Bot. 59:343–349 (recalled, not re-read)'),
  maize: general(8.579, 4.91),
  rice: general(8.668, 5.03),
  'sugar-beet': general(8.943, 4.723),
  pea: general(9.858, 5.39),
  sorghum: constants(10.588, 6.305, 0.0412, 0.000349, 'Kuo et al. 1990 (recalled, unsure)'),
  'oilseed-rape': general(7.718, 4.54),
  sunflower: general(6.74, 4.16),
} as const

export type SeedSpecies = keyof typeof seedSpecies

/** Where the equation holds: below, drying gains nothing more; above, wet seed breathes and behaves otherwise. */
export const seedRange = { temperatureC: [-20, 50], moistureWetBasisPct: [4, 16] } as const

export interface SeedLifeAnswer {
  viabilityPct: number
  daysToTarget: number
  days: number
  targetViabilityPct: number
  /** days for viability to fall by one probit */
  sigmaDays: number
  source: string
}

/**
 * Seed viability in steady store: v = Ki − p / 10^(KE − CW·log10 m − CH·t − CQ·t²), in probits.
 * @param moistureWetBasisPct % of fresh weight, 4–16
 * @param question days gone, or the viability to wait for; half of the first when neither is given
 * @throws Refusal `unknown-species`, `out-of-range`, `invalid`
 * @source Ellis & Roberts 1980
 */
export function seedLife(
  species: string,
  temperatureC: number,
  moistureWetBasisPct: number,
  initialViabilityPct: number,
  question: { days?: number; targetViabilityPct?: number },
): SeedLifeAnswer {
  if (!Object.hasOwn(seedSpecies, species)) {
    throw new Refusal(
      'unknown-species',
      told('stores.noViability', { species: species.slice(0, 40), known: Object.keys(seedSpecies).join(', ') }),
      'species',
    )
  }
  const { temperatureC: t, moistureWetBasisPct: m } = seedRange
  requireWithin(temperatureC, t[0], t[1], 'temperatureC', '°C')
  requireWithin(moistureWetBasisPct, m[0], m[1], 'moistureWetBasisPct', '%')
  requireWithin(initialViabilityPct, 1, 99.99, 'initialViabilityPct', '%', told('stores.notToTheLastSeed'))
  const { ke, cw, ch, cq, source } = seedSpecies[species as SeedSpecies]
  const sigmaDays =
    10 ** (ke - cw * Math.log10(moistureWetBasisPct) - ch * temperatureC - cq * temperatureC * temperatureC)
  const ki = normalQuantile(initialViabilityPct / 100)
  const target = question.targetViabilityPct ?? Math.min(50, initialViabilityPct / 2)
  requireWithin(target, 0.01, 99.99, 'targetViabilityPct', '%')
  if (target > initialViabilityPct) {
    throw new Refusal(
      'invalid',
      told('stores.targetAboveInitial', {
        targetViabilityPct: fieldNamed('targetViabilityPct'),
        initialViabilityPct: fieldNamed('initialViabilityPct'),
      }),
      'targetViabilityPct',
    )
  }
  const daysToTarget = (ki - normalQuantile(target / 100)) * sigmaDays
  const days = question.days ?? daysToTarget
  requireWithin(days, 0, 1e7, 'days', 'days')
  return {
    viabilityPct: 100 * normalShare(ki - days / sigmaDays),
    daysToTarget,
    days,
    targetViabilityPct: target,
    sigmaDays,
    source,
  }
}
