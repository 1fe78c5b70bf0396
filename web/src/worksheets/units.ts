import { gramsPerOunce, gramsPerPound } from '@vadose/core/households'
import { degree, fromCelsius, isUs, largeUnit, smallUnit, temperature, toCelsius, weight } from '../households'
import type { Axis } from './drawing'
import type { Unit } from './field'

const factor: Record<Exclude<Unit, 'temperature' | ''>, number> = {
  g: gramsPerOunce,
  kg: gramsPerPound / 1000,
  litres: 0.946352946,
  mm: 25.4,
  metres: 0.3048,
}
const usNames: Record<Exclude<Unit, 'temperature' | ''>, string> = {
  g: 'oz',
  kg: 'lb',
  litres: 'qt',
  mm: 'in',
  metres: 'ft',
}
const metricNames = { g: 'g', kg: 'kg', litres: 'L', mm: 'mm', metres: 'm' }

export function unitName(unit: Unit | undefined): string {
  if (!unit) return ''
  if (unit === 'temperature') return degree()
  return isUs() ? usNames[unit] : metricNames[unit]
}

/** From what the household reads to what the models take. */
export function toModel(shown: number, unit: Unit | undefined): number {
  if (!unit || !isUs()) return shown
  return unit === 'temperature' ? toCelsius(shown) : shown * factor[unit]
}

/** From what the models take to what the household reads. */
export function toShown(value: number, unit: Unit | undefined): number {
  if (!unit || !isUs()) return value
  return unit === 'temperature' ? fromCelsius(value) : value / factor[unit]
}

export const number = (value: number, digits: number): string =>
  value.toLocaleString('en-GB', { minimumFractionDigits: 0, maximumFractionDigits: digits }).replace('-', '−')

/** A value of an answer in the household's words. */
export function says(value: number, unit: Unit | undefined, suffix = '', digits = 0): string {
  if (unit === 'temperature') return temperature(value, digits)
  // a fine scale wants the tenth of a gram, or what comes near to it
  if (unit === 'g' && digits > 0) return `${number(toShown(value, unit), isUs() ? 2 : digits)} ${unitName(unit)}`
  if (unit === 'g') return weight(value)
  const text = number(toShown(value, unit), digits)
  return [text, unit ? unitName(unit) : suffix].filter(Boolean).join(' ')
}

/** Value on an axis as the household reads it, and the axis's unit. */
export function onAxis(axis: Axis, value: number): number {
  switch (axis.quantity) {
    case 'temperatureC':
      return toShown(value, 'temperature')
    case 'weightG':
      return toShown(value, 'g')
    case 'kg':
      return toShown(value, 'kg')
    default:
      return value
  }
}
export function axisUnit(axis: Axis): string {
  switch (axis.quantity) {
    case 'temperatureC':
      return degree()
    case 'weightG':
      return smallUnit()
    case 'kg':
      return largeUnit()
    default:
      return axis.unit ?? ''
  }
}
export const axisTitle = (axis: Axis): string => (axisUnit(axis) ? `${axis.label}, ${axisUnit(axis)}` : axis.label)
