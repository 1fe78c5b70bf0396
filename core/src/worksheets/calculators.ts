import { airRangeC, airState, humidityAfter, sweats } from '../air'
import type { Spread } from '../chance'
import { checkSize, checkUpdate, comparePolicies, type Check } from '../checks'
import type { GasLevel, Packing } from '../almanac'
import {
  brine,
  blanch,
  freezerLoad,
  freezeTime,
  frozenLife,
  glutPlan,
  powerCut,
  type FreezeTimeInput,
  type FreeTime,
  type FrozenStretch,
} from '../kitchen'
import type { CivilDate } from '../households'
import { keepAt, seedLife } from '../stores'
import { runOut, type Use } from '../larder'
import {
  driedLifeMonths,
  dryingFit,
  dryWeight,
  equilibriumMoisture,
  type DryingWeighing,
  type MoistureEquation,
} from '../line'
import { term, told, fieldNamed } from '../message'
import { Refusal, requireWithin } from '../refusal'
import { planting } from '../year'
import { cure, type CropLookup, type CureInput } from './cure'

export interface KeepInput {
  crop: string
  temperatureC: number
  relativeHumidityPct: number
  light?: boolean
  packing?: Packing
  gas?: GasLevel
}

export interface CheckUpdateInput {
  crop?: string
  lifeDays?: Spread
  temperatureC?: number
  relativeHumidityPct?: number
  checks: Check[]
}

/** The air's state; its humidity at another temperature and whether a cold crop sweats in it, when asked. */
function airAnswer(i: {
  temperatureC: number
  relativeHumidityPct: number
  pressureKPa?: number
  thenTemperatureC?: number
  cropTemperatureC?: number
}) {
  const state = airState(i.temperatureC, i.relativeHumidityPct, i.pressureKPa)
  const { thenTemperatureC: then, cropTemperatureC: crop } = i
  if (then !== undefined) requireWithin(then, airRangeC.lo, airRangeC.hi, 'thenTemperatureC', '°C')
  if (crop !== undefined) requireWithin(crop, airRangeC.lo, airRangeC.hi, 'cropTemperatureC', '°C')
  return {
    ...state,
    ...(then === undefined
      ? {}
      : { relativeHumidityThenPct: humidityAfter(i.temperatureC, i.relativeHumidityPct, then) }),
    ...(crop === undefined ? {} : { cropSweats: sweats(crop, i.temperatureC, i.relativeHumidityPct) }),
  }
}

const keep = (input: KeepInput, cropOf: CropLookup) =>
  keepAt(cropOf(input.crop), input.temperatureC, input.relativeHumidityPct, input.packing, {
    light: input.light ?? false,
    gas: input.gas ?? 'none',
  })

function checkUpdateAnswer(input: CheckUpdateInput, cropOf: CropLookup) {
  if ((input.crop === undefined) === (input.lifeDays === undefined)) {
    throw new Refusal(
      'invalid',
      told('worksheets.cropOrLife', { crop: fieldNamed('crop'), lifeDays: fieldNamed('lifeDays') }),
      'crop',
    )
  }
  return input.lifeDays
    ? checkUpdate({ lifeDays: input.lifeDays }, input.checks)
    : checkUpdate({ ...input, crop: cropOf(input.crop!) }, input.checks)
}

function frozenLifeAnswer(input: { crop: string; temperatures: FrozenStretch[] }, cropOf: CropLookup) {
  const crop = cropOf(input.crop)
  if (!crop.freezing)
    throw new Refusal('not-frozen', told('worksheets.notFrozenHere', { crop: term(crop.name) }), 'crop')
  return frozenLife(crop.freezing, input.temperatures)
}

function driedLifeAnswer(input: { kind: 'fruit' | 'vegetable'; temperatureC: number }) {
  requireWithin(input.temperatureC, 0, 40, 'temperatureC', '°C')
  return {
    months: driedLifeMonths(input.kind, input.temperatureC),
    source: 'NCHFP: fruit 12 months at 60 °F, 6 at 80 °F; vegetables half (recalled, not re-read)',
  }
}

export interface GlutInput {
  heaps: { crop: string; cut?: string; kg: number; hoursSincePicking: number }[]
  evenings: FreeTime[]
  panLitres: number
  trays: number
  kgPerTray: number
  freezerLitres: number
  altitudeM?: number
}

const glut = ({ heaps, evenings, ...kitchen }: GlutInput, cropOf: CropLookup) =>
  glutPlan(
    heaps.map((heap) => ({ ...heap, crop: cropOf(heap.crop) })),
    evenings,
    { ...kitchen, altitudeM: kitchen.altitudeM ?? 0 },
  )

/** Told how far a long computation has come, 0…1. */
export type Progress = (share: number) => void

/**
 * Every question answered by itself, by the name it has on the wire and at the command line. Inputs are shaped as the
 * wire's schemas say; the models themselves refuse what lies outside their range.
 */
export const calculators = {
  air: airAnswer,
  cure: (i: CureInput, cropOf: CropLookup) => cure(i, cropOf),
  'dry-weight': (i: { freshWeightG: number; freshMoisturePct: number; targetMoisturePct: number }) =>
    dryWeight(i.freshWeightG, i.freshMoisturePct, i.targetMoisturePct),
  'drying-fit': (i: { weighings: DryingWeighing[]; freshMoisturePct: number; targetMoisturePct: number }) =>
    dryingFit(i.weighings, i.freshMoisturePct, i.targetMoisturePct),
  'dried-life': driedLifeAnswer,
  'equilibrium-moisture': (i: {
    grain: string
    temperatureC: number
    relativeHumidityPct: number
    equation?: MoistureEquation
  }) => equilibriumMoisture(i.grain, i.temperatureC, i.relativeHumidityPct, i.equation),
  'seed-life': (i: {
    species: string
    temperatureC: number
    moistureWetBasisPct: number
    initialViabilityPct: number
    days?: number
    targetViabilityPct?: number
  }) => seedLife(i.species, i.temperatureC, i.moistureWetBasisPct, i.initialViabilityPct, i),
  blanch: (i: { crop: string; cut?: string; altitudeM?: number }, cropOf: CropLookup) =>
    blanch(cropOf(i.crop), i.cut, i.altitudeM),
  'freeze-time': (i: FreezeTimeInput) => freezeTime(i),
  'freezer-load': (i: { freezerLitres: number; produceKg: number }) => freezerLoad(i.freezerLitres, i.produceKg),
  'frozen-life': frozenLifeAnswer,
  'power-cut': (i: {
    freezerLitres: number
    fillFraction: number
    hoursOff: number
    roomTemperatureC: number
    startTemperatureC?: number
    measuredC?: number
  }) => powerCut(i.freezerLitres, i.fillFraction, i.hoursOff, i.roomTemperatureC, i.startTemperatureC, i.measuredC),
  glut,
  keep,
  'check-size': (i: { lotSize: number; badFraction: number; confidence: number }) => ({
    lookAt: checkSize(i.lotSize, i.badFraction, i.confidence),
  }),
  'check-update': checkUpdateAnswer,
  'check-policy': (
    i: {
      crop: string
      temperatureC: number
      relativeHumidityPct: number
      pieces: number
      packing?: Packing
      everyWeeks: number
      seed?: number
    },
    cropOf: CropLookup,
    progress?: Progress,
  ) => comparePolicies({ ...i, crop: cropOf(i.crop) }, progress),
  'run-out': (i: { onHand: number; uses: Use[]; today: CivilDate }) => runOut(i.onHand, i.uses, i.today),
  planting: (
    i: { crop: string; wantedUnits: number; unitsPerPlanted: number; keepBackFraction?: number; lossFraction?: number },
    cropOf: CropLookup,
  ) => {
    cropOf(i.crop)
    return planting(i.wantedUnits, i.unitsPerPlanted, i.keepBackFraction, i.lossFraction)
  },
  brine: (i: { method: 'of-water' | 'of-total'; waterG: number; produceG: number; saltPct: number }) =>
    brine(i.method, i.waterG, i.produceG, i.saltPct),
}

export type CalculatorName = keyof typeof calculators

/** Runs a calculator on an input already shaped as its schema says. */
export const runCalculator = (name: CalculatorName, input: unknown, cropOf: CropLookup, progress?: Progress): unknown =>
  (calculators[name] as (input: unknown, cropOf: CropLookup, progress?: Progress) => unknown)(input, cropOf, progress)
