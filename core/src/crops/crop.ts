/** Where a number comes from; the texts stand in sources.ts. */
export type SourceId = keyof typeof import('./sources').sources

export interface Sourced<T = number> {
  value: T
  source: SourceId
}

/** What becomes of a heap or a faulty piece. */
export type Fate = 'store' | 'eat-first' | 'freeze' | 'plant' | 'feed' | 'compost' | 'bin'

export interface HeapTemplate {
  id: string
  label: string
  /** what to do with it, in the household's words */
  hint: string
  fate: Fate
  /** goes on the drying line */
  hangs: boolean
  /** for what is eaten first: it wants using within so many days of lifting */
  useWithinDays?: Sourced
  /** a soil-borne disease: the bed is marked */
  marksBed?: boolean
}

export interface FaultAction {
  id: string
  label: string
  /** the ledger event it makes */
  becomes: 'lost' | 'used' | 'planted' | 'given' | 'kept'
  detail: string
}

export interface Fault {
  id: string
  label: string
  signs: string
  cause: string
  /** does it run to neighbours */
  spreads: 'quickly' | 'slowly' | 'no'
  /** the end of keeping it counts as, so that checks teach the right hazard; none for blemishes */
  ends: 'rot' | 'sprouting' | 'drying out' | 'rooting' | 'mould' | 'frost'
  /** first is proposed */
  actions: FaultAction[]
}

export interface EndTest {
  id: string
  label: string
  passed: string
  failed: string
  /** share of the drying at which half the lots pass, and how sharply, both 0…1 */
  passesAt: Sourced
  sharpness: Sourced
}

export interface ReadinessSchool {
  id: string
  label: string
  /** share of the sign (leaves browned, tops down) at which the school lifts, from–to */
  from: Sourced
  to: Sourced
}

export interface Readiness {
  /** how the sign is taken */
  sign: 'brown-leaves' | 'tops-down'
  question: string
  /** plants' leaves in all, where leaves are counted */
  leavesInAll?: Sourced
  schools: ReadinessSchool[]
  /** the share changes by this much in a usual week */
  sharePerWeek: Sourced
  earlyCost: string
  lateCost: string
}

export interface Curing {
  /** drying power spent until ready, kPa·h, in breezy shade, net of the stall */
  budgetKPaH: Sourced
  /** log standard deviation of that budget between lots */
  budgetLogSd: Sourced
  /** below this pull nothing dries, kPa */
  stallKPa: Sourced
  /** weight when cured ÷ weight when hung, tops and roots on */
  finalWeightRatio: Sourced
  finalWeightRatioSd: Sourced
  /** pieces in a bunch */
  bunch: Sourced<[number, number]>
  endTests: EndTest[]
  conditions: Sourced<string>
}

export interface Keeping {
  bestTemperatureC: Sourced<[number, number]>
  bestHumidityPct: Sourced<[number, number]>
  /** life there, days */
  lifeDays: Sourced<[number, number]>
  /** highest freezing point, °C */
  freezesAtC: Sourced
  /** ng/(kg·s·Pa) */
  transpiration: Sourced
  /** largest loss at which it is still saleable, % */
  largestLossPct: Sourced
  /** CO2 = f(9T/5+32)^g mg/(kg·h) */
  respiration: Sourced<{ f: number; g: number }>
  /** half the pieces have gone by ageing and rot at 0 °C in dry air, days */
  ageingDaysAtZero: Sourced
  /** half the pieces have sprouted, days from curing at each temperature: [°C, days] */
  sproutingDays: Sourced<[number, number][]>
  /** humidity above which roots start, % */
  rootsAbovePct: Sourced
  /** half have rooted at 10 °C and 90 %, days */
  rootingDays: Sourced
}

export interface Crop {
  id: string
  name: string
  plural: string
  synonyms: string[]
  /** first letter of a lot's code */
  letter: string
  botanical: string
  family: string
  /** CSS colour token of the crop */
  colour: string
  piece: { one: string; many: string }
  /** usual weight of a piece finished, g */
  pieceG: Sourced
  readiness: Readiness
  heaps: HeapTemplate[]
  curing: Curing
  necks: { id: string; label: string; why: string }[]
  packs: { id: 'net' | 'sack' | 'box' | 'plait' | 'bare'; label: string }[]
  keeping: Keeping
  faults: Fault[]
  cautions: string[]
}
