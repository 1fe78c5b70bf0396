import type { CalculatorName } from '@vadose/core/worksheets'
import { say } from './say'

export type Unit = 'temperature' | 'g' | 'kg' | 'litres' | 'mm' | 'metres' | ''

export interface Field {
  id: string
  label: string
  kind: 'number' | 'choice' | 'crop' | 'yes-no' | 'date' | 'lines' | 'instant'
  /** converted where the household reads other units */
  unit?: Unit
  /** shown as it is */
  suffix?: string
  value: string | number | boolean
  choices?: readonly string[]
  optional?: boolean
  /** for lines: what each stands for, one row a line */
  columns?: { id: string; label: string; kind: 'number' | 'text' | 'yes-no'; unit?: Unit; optional?: boolean }[]
  help?: string
}

export interface Worksheet {
  name: CalculatorName
  group: string
  title: string
  asks: string
  equation: string
  source: string
  range: string
  fields: Field[]
  /** the answer's lines: path, words, unit */
  says: { path: string; label: string; unit?: Unit; suffix?: string; digits?: number; spread?: boolean }[]
}

/** Fields of a kind: a temperature, a share of a hundred, a number, a crop; one that need not be known. */
export const t = (id: string, label: string, value: number): Field => ({
  id,
  label,
  kind: 'number',
  unit: 'temperature',
  value,
})
export const pct = (id: string, label: string, value: number): Field => ({
  id,
  label,
  kind: 'number',
  suffix: '%',
  value,
})
export const n = (id: string, label: string, value: number, unit: Unit = '', suffix = ''): Field => ({
  id,
  label,
  kind: 'number',
  value,
  ...(unit ? { unit } : {}),
  ...(suffix ? { suffix } : {}),
})
export const crop = (value: string): Field => ({ id: 'crop', label: say('crop'), kind: 'crop', value })
export const optional = (field: Field): Field => ({ ...field, optional: true })
