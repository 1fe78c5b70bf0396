import type { Prose } from '../message'
import type { Range, Sourced } from './crop'

export interface ReadinessSchool {
  id: string
  label: string
  /** share of the sign (leaves browned, tops down) at which the school lifts, from–to */
  from: Sourced
  to: Sourced
}

export interface Readiness {
  question: string
  /** the sign is counted out of so many (leaves, tops) … */
  countOf?: Sourced
  /** … or is one of these stages, from far off to past it */
  stages?: string[]
  schools: ReadinessSchool[]
  /** the share changes by this much in a usual week */
  sharePerWeek: Sourced
  earlyCost: string
  lateCost: Prose
  /** the school that is gone by until the household says otherwise; the only one where there is one */
  usual?: string
  /** days from cutting the scapes to lifting */
  scapeDays?: Sourced<Range>
  /** one lifted and looked into, which says more than what is seen above the ground */
  tryOne?: { what: string; outcomes: { label: string; says: 'early' | 'ready' | 'late' }[] }
}

/** How it stands in the garden, where pieces kept back are planted. */
export interface Growing {
  /** planted from one month to another, 1…12, in the northern half of the world */
  months: Sourced<Range>
  /** from planting to lifting, days */
  days: Sourced<Range>
}
