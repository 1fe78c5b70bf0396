import { told, fieldNamed } from '../message'
import { Refusal, requireWithin } from '../refusal'
import { packedFood, usualInitialC } from '../assumptions'

export type Shape = 'slab' | 'cylinder' | 'sphere'

/** Plank's shape factors for a slab's thickness, a cylinder's or sphere's diameter. */
const plankShape = { slab: [1 / 2, 1 / 8], cylinder: [1 / 4, 1 / 16], sphere: [1 / 6, 1 / 24] } as const

export interface FrozenProperties {
  densityKgPerM3: number
  frozenConductivityWPerMK: number
  latentHeatKJPerKg: number
  initialFreezingPointC: number
}

/**
 * Freezing time by Plank, hours: t = ρL/(Tf − Ta) · (P·a/h + R·a²/k).
 * Takes the piece as just at its freezing point; predicts short.
 * @param thicknessMm slab thickness or diameter
 * @source Plank 1913/1941; Singh & Heldman, Introduction to Food Engineering (recalled, not re-read)
 */
export function plankHours(
  shape: Shape,
  thicknessMm: number,
  freezerTemperatureC: number,
  surfaceCoefficientWPerM2K: number,
  p: FrozenProperties,
): number {
  const [P, R] = plankShape[shape]
  const a = thicknessMm / 1000
  const drive = (p.densityKgPerM3 * p.latentHeatKJPerKg * 1000) / (p.initialFreezingPointC - freezerTemperatureC)
  return (drive * ((P * a) / surfaceCoefficientWPerM2K + (R * a * a) / p.frozenConductivityWPerMK)) / 3600
}

export interface PhamInput {
  initialC: number
  centreC: number
  freezerC: number
  unfrozenDensity: number
  frozenDensity: number
  unfrozenHeat: number
  frozenHeat: number
  latentKJPerKg: number
  surfaceCoefficient: number
  frozenConductivity: number
}

const phamShape = { slab: 1, cylinder: 2, sphere: 3 } as const

/**
 * Freezing time by Pham, hours, cooling from the start and down to a centre temperature.
 * @param thicknessMm slab thickness or diameter; heats in kJ/(kg·K), densities kg/m³
 * @source Pham 1986, as in Singh & Heldman (recalled, not re-read); ±10 %, −40 < Ta < −15 °C
 */
export function phamHours(shape: Shape, thicknessMm: number, p: PhamInput): number {
  const mean = 1.8 + 0.263 * p.centreC + 0.105 * p.freezerC
  const h1 = p.unfrozenDensity * p.unfrozenHeat * 1000 * (p.initialC - mean)
  const h2 = p.frozenDensity * 1000 * (p.latentKJPerKg + p.frozenHeat * (mean - p.centreC))
  const d1 = (p.initialC + mean) / 2 - p.freezerC
  const d2 = mean - p.freezerC
  const half = thicknessMm / 2000
  const biot = (p.surfaceCoefficient * half) / p.frozenConductivity
  return ((half / (phamShape[shape] * p.surfaceCoefficient)) * (h1 / d1 + h2 / d2) * (1 + biot / 2)) / 3600
}

/** Heat capacities and latent heat from the water in it. @source Siebel, in ASHRAE Refrigeration (recalled) */
export const propertiesOf = (waterPct: number) => ({
  unfrozenHeat: 0.837 + 0.03349 * waterPct,
  frozenHeat: 0.837 + 0.01256 * waterPct,
  latentKJPerKg: 3.336 * waterPct,
})

export interface FreezeTimeInput {
  shape: Shape
  thicknessMm: number
  freezerTemperatureC: number
  surfaceCoefficientWPerM2K: number
  initialTemperatureC?: number
  waterPct?: number
  densityKgPerM3?: number
  frozenConductivityWPerMK?: number
  latentHeatKJPerKg?: number
  initialFreezingPointC?: number
}

/**
 * Hours until a piece or pack is frozen: Plank where the properties are given, Pham from the water content otherwise.
 * @throws Refusal `invalid` when neither is given, `out-of-range`
 */
export function freezeTime(input: FreezeTimeInput): { hours: number; method: string; source: string } {
  const { shape, thicknessMm, freezerTemperatureC: freezer, surfaceCoefficientWPerM2K: h } = input
  requireWithin(thicknessMm, 0.5, 1000, 'thicknessMm', 'mm')
  requireWithin(h, 1, 2000, 'surfaceCoefficientWPerM2K', 'W/(m²·K)')
  const given = [
    input.densityKgPerM3,
    input.frozenConductivityWPerMK,
    input.latentHeatKJPerKg,
    input.initialFreezingPointC,
  ]
  if (given.every((x) => x !== undefined)) {
    const p: FrozenProperties = {
      densityKgPerM3: input.densityKgPerM3!,
      frozenConductivityWPerMK: input.frozenConductivityWPerMK!,
      latentHeatKJPerKg: input.latentHeatKJPerKg!,
      initialFreezingPointC: input.initialFreezingPointC!,
    }
    requireWithin(p.densityKgPerM3, 100, 2000, 'densityKgPerM3', 'kg/m³')
    requireWithin(p.frozenConductivityWPerMK, 0.05, 5, 'frozenConductivityWPerMK', 'W/(m·K)')
    requireWithin(p.latentHeatKJPerKg, 10, 340, 'latentHeatKJPerKg', 'kJ/kg')
    requireWithin(p.initialFreezingPointC, -10, 0, 'initialFreezingPointC', '°C')
    requireWithin(freezer, -80, p.initialFreezingPointC - 1, 'freezerTemperatureC', '°C', told('kitchen.belowFreezing'))
    return {
      hours: plankHours(shape, thicknessMm, freezer, h, p),
      method: 'Plank',
      source: 'Plank 1913/1941; Singh & Heldman, Introduction to Food Engineering (recalled, not re-read)',
    }
  }
  if (input.waterPct === undefined) {
    throw new Refusal(
      'invalid',
      told('kitchen.waterOrAllOf', {
        waterPct: fieldNamed('waterPct'),
        densityKgPerM3: fieldNamed('densityKgPerM3'),
        frozenConductivityWPerMK: fieldNamed('frozenConductivityWPerMK'),
        latentHeatKJPerKg: fieldNamed('latentHeatKJPerKg'),
        initialFreezingPointC: fieldNamed('initialFreezingPointC'),
      }),
      'waterPct',
    )
  }
  const initial = input.initialTemperatureC ?? usualInitialC
  requireWithin(input.waterPct, 40, 99, 'waterPct', '%')
  requireWithin(initial, 0, 40, 'initialTemperatureC', '°C')
  requireWithin(freezer, -40, -15, 'freezerTemperatureC', '°C', told('kitchen.asPhamFitted'))
  const hours = phamHours(shape, thicknessMm, {
    ...packedFood,
    ...propertiesOf(input.waterPct),
    initialC: initial,
    centreC: Math.max(-15, freezer + 3),
    freezerC: freezer,
    surfaceCoefficient: h,
  })
  return {
    hours,
    method: 'Pham',
    source: 'Pham 1986, as in Singh & Heldman; heats from the water content by Siebel (recalled, not re-read); ±10 %',
  }
}
