import { told } from '../message'
import { Refusal, requireWithin } from '../refusal'
import { wetBasisPct } from './dry-weight'

export type MoistureEquation = 'modified-henderson' | 'modified-chung-pfost' | 'modified-halsey'

const asae = 'ASAE D245.4/D245.5, fits of Pfost et al. 1976 (recalled, not re-read)'
const henderson = (a: number, b: number, c: number, source = asae) => ({ a, b, c, source })

/** Modified Henderson: 1 − RH = exp[−A (T + C) M^B], M in % dry basis. */
const hendersons = {
  barley: henderson(2.2919e-5, 2.0123, 195.267),
  bean: henderson(2.0899e-5, 1.8812, 254.23),
  maize: henderson(8.6541e-5, 1.8634, 49.81),
  'peanut-kernel': henderson(6.50413e-4, 1.4984, 50.561),
  'peanut-pod': henderson(6.6587e-5, 2.5362, 23.318),
  rice: henderson(1.9187e-5, 2.4451, 51.161),
  sorghum: henderson(8.532e-6, 2.4757, 113.725),
  soybean: henderson(3.05327e-4, 1.2164, 134.136),
  wheat: henderson(2.3007e-5, 2.2857, 55.815),
  'wheat-soft': henderson(1.2299e-5, 2.5558, 64.346),
  'wheat-durum': henderson(2.5738e-5, 2.211, 70.318),
  sunflower: henderson(3.1e-4, 1.7459, 66.603, 'ASABE D245.5, attribution unsure (recalled, not re-read)'),
} as const

/** Modified Chung–Pfost: RH = exp[−A / (T + C) · exp(−B M)], M in % dry basis. */
const chungPfosts: Partial<Record<string, { a: number; b: number; c: number }>> = {
  barley: { a: 761.66, b: 0.19889, c: 91.323 },
  bean: { a: 962.58, b: 0.15975, c: 160.629 },
  maize: { a: 312.3, b: 0.16958, c: 30.205 },
  'peanut-kernel': { a: 254.9, b: 0.29243, c: 33.892 },
  rice: { a: 594.61, b: 0.21732, c: 35.703 },
  sorghum: { a: 1099.68, b: 0.19644, c: 102.849 },
  soybean: { a: 328.3, b: 0.13917, c: 100.288 },
  wheat: { a: 529.43, b: 0.17609, c: 50.998 },
  'wheat-soft': { a: 726.49, b: 0.23607, c: 35.662 },
  'wheat-durum': { a: 921.65, b: 0.18077, c: 112.35 },
}

/** Modified Halsey: RH = exp[−exp(A + B T) · M^−C], M in % dry basis; for oily seed. */
const halseys: Partial<Record<string, { a: number; b: number; c: number }>> = {
  canola: { a: 3.489, b: -0.010553, c: 1.86 },
  soybean: { a: 2.87, b: -0.0054, c: 1.38 },
}

export const grains = [...Object.keys(hendersons), 'canola'] as const

/** Air the fits hold in. */
export const equilibriumRange = { temperatureC: [0, 50], relativeHumidityPct: [10, 90] } as const

export interface EquilibriumAnswer {
  moistureWetBasisPct: number
  moistureDryBasisPct: number
  equation: MoistureEquation
  source: string
}

/**
 * Moisture a grain settles at in this air.
 * @param temperatureC °C, 0–50
 * @param relativeHumidityPct %, 10–90
 * @param equation modified Henderson where it is known, unless another is asked for
 * @throws Refusal `unknown-grain`, `out-of-range`, `invalid`
 * @source ASABE D245.5
 * @example equilibriumMoisture('bean', 20, 60).moistureWetBasisPct // 12.92
 */
export function equilibriumMoisture(
  grain: string,
  temperatureC: number,
  relativeHumidityPct: number,
  equation?: MoistureEquation,
): EquilibriumAnswer {
  if (!(grains as readonly string[]).includes(grain)) {
    throw new Refusal(
      'unknown-grain',
      told('line.noConstants', { grain: grain.slice(0, 40), known: grains.join(', ') }),
      'grain',
    )
  }
  const { temperatureC: t, relativeHumidityPct: rh } = equilibriumRange
  requireWithin(temperatureC, t[0], t[1], 'temperatureC', '°C')
  requireWithin(relativeHumidityPct, rh[0], rh[1], 'relativeHumidityPct', '%')
  const use = equation ?? (Object.hasOwn(hendersons, grain) ? 'modified-henderson' : 'modified-halsey')
  const share = relativeHumidityPct / 100
  const missing = () => new Refusal('invalid', told('line.noSuchUse', { use, grain }), 'equation')
  let dryPct: number
  let source: string = asae
  if (use === 'modified-henderson') {
    if (!Object.hasOwn(hendersons, grain)) throw missing()
    const { a, b, c, source: from } = hendersons[grain as keyof typeof hendersons]
    dryPct = (-Math.log(1 - share) / (a * (temperatureC + c))) ** (1 / b)
    source = from
  } else if (use === 'modified-chung-pfost') {
    const k = chungPfosts[grain]
    if (!k) throw missing()
    dryPct = -Math.log((-(temperatureC + k.c) / k.a) * Math.log(share)) / k.b
  } else {
    const k = halseys[grain]
    if (!k) throw missing()
    dryPct = (Math.exp(k.a + k.b * temperatureC) / -Math.log(share)) ** (1 / k.c)
    source = 'ASABE D245.5; Sokhansanj et al. 1986 (recalled, not re-read)'
  }
  return { moistureDryBasisPct: dryPct, moistureWetBasisPct: wetBasisPct(dryPct), equation: use, source }
}
