import type { FromSchema } from 'json-schema-to-ts'
import { civilDate } from './shapes'

export const newHouseholdSchema = {
  type: 'object',
  required: ['name', 'clock'],
  properties: {
    name: { type: 'string', minLength: 1, maxLength: 60, pattern: '\\S' },
    clock: { enum: ['real', 'practice'] },
    startsOn: civilDate,
    timeZone: { type: 'string', maxLength: 60 },
    latitudeDeg: { type: 'number', minimum: -66, maximum: 66 },
    altitudeM: { type: 'number', minimum: -100, maximum: 3000 },
  },
  additionalProperties: false,
} as const
export type NewHousehold = FromSchema<typeof newHouseholdSchema>

export const moveClockSchema = {
  type: 'object',
  required: ['to'],
  properties: { to: { enum: ['next-morning', 'next-week'] } },
  additionalProperties: false,
} as const
export type MoveClock = FromSchema<typeof moveClockSchema>

export interface HouseholdSummary {
  id: string
  name: string
  /** demo and practice clocks can be moved */
  clock: 'real' | 'practice'
  current: boolean
}

/** What every screen needs: who, when, and the year as a strip. */
export interface Frame {
  household: {
    id: string
    name: string
    clock: 'real' | 'practice'
    demo: boolean
    /** IANA name */
    timeZone: string
    units: 'metric' | 'us'
    altitudeM: number
    /** whom the household asks about food safety; its own setting */
    authority: { name: string; url: string } | null
  }
  /** instant, ISO */
  now: string
  today: string
  year: {
    startsOn: string
    endsOn: string
    /** weight in the house, g, by day number from startsOn: counted up to today, forecast after */
    stock: { day: number; weightG: number; forecast: boolean }[]
    /** days from startsOn with jobs open */
    jobDays: number[]
  }
}
