import type { WeatherDay } from './places'

export interface JobView {
  id: number
  kind: 'weigh' | 'test' | 'take-down' | 'unstall' | 'check' | 'use' | 'read' | 'rotate' | 'turn' | 'take-out' | 'shake'
  dueOn: string
  why: string
  code: string | null
  crop: string | null
  title: string
  /** the scale's expectation, g, and what is weighed */
  expectedG: number | null
  basis: 'lot' | 'bunch' | null
}

export interface RoundView {
  today: string
  places: {
    id: string
    name: string
    temperatureC: number | null
    relativeHumidityPct: number | null
    recent: number[]
    verdict: { suits: boolean; says: string }
    jobs: JobView[]
  }[]
  eatFirst: {
    code: string
    crop: string
    heap: string
    weightG: number
    pieces: number | null
    dried: boolean
    why: string
    urgent: boolean
  }[]
  weather: WeatherDay[]
  weatherSays: string[]
  lastWeek: { broughtInG: number; usedG: number; lostG: number; waterG: number }
  nextJobs: { on: string; count: number }[]
}
