import type { CivilDate } from '../households'

/** What can be written down at a bed. */
export const bedSigns = [
  'planted',
  'sign',
  'scapes',
  'scapes-cut',
  'tried',
  'unwatered',
  'watered',
  'tops-bent',
  'cleared',
] as const
export type BedSign = (typeof bedSigns)[number]

/** Where it grows: rain reaches a bed and a pot in the open, nothing but the can a pot under a roof. */
export const growsIn = ['bed', 'pot', 'roofed'] as const
export type GrowsIn = (typeof growsIn)[number]

/** What was seen or done at a bed on a day. */
export interface BedEntry {
  id: string
  on: CivilDate
  crop: string
  variety: string | null
  bed: string
  growsIn: GrowsIn
  what: BedSign
  /** `sign`: share of it reached, 0…1; `scapes`: turns, 0…3; `tried`: which outcome */
  value: number | null
  /** `planted` */
  pieces: number | null
  weightG: number | null
}

/** What happened to a lot that a bed is told by. */
export interface BedMove {
  on: CivilDate
  kind: string
  crop: string
  code: string
  variety: string | null
  /** of what was brought in: where it grew; of what was planted: where it was put */
  bed: string | null
  weightG: number
  pieces: number
}

/** What grows, or grew, in a bed: from its planting, or from the first look, to the last of it. */
export interface Stand {
  /** its own name, the same as long as it is told the same */
  key: string
  crop: string
  variety: string | null
  bed: string
  growsIn: GrowsIn
  plantedOn: CivilDate | null
  planted: { weightG: number; pieces: number }
  /** the lots it was planted from */
  from: string[]
  /** oldest first */
  entries: BedEntry[]
  lifted: { on: CivilDate; weightG: number; pieces: number }[]
  /** the day its like was lifted a year before, carried into the next */
  lastYear: CivilDate | null
  /** nothing of it is waited for any more */
  over: boolean
}
