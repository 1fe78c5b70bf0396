import type { Prose } from '../message'
import type { End } from './ends'
import type { Growing, Readiness } from './readiness'
import type { HungIn } from './hung-in'
import type { Packing, PlaceNeed } from './packing'

/** Where a number comes from; the texts stand in sources.ts. */
export type SourceId = keyof typeof import('./sources').sources

export interface Sourced<T = number> {
  value: T
  source: SourceId
}

export type Range = [number, number]

/** What becomes of a heap or a faulty piece. */
export type Fate = 'store' | 'eat-first' | 'freeze' | 'dry' | 'plant' | 'feed' | 'compost' | 'bin'

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
  becomes: 'lost' | 'set-aside' | 'planted' | 'fed' | 'kept'
  /** why it is set aside */
  aside?: 'eat-first' | 'cut-round' | 'freeze'
  /** where what is lost goes, or who is fed */
  to?: 'compost' | 'bin' | 'hens'
  detail: Prose
}

export interface Fault {
  id: string
  label: string
  signs: string
  cause: Prose
  /** does it run to neighbours */
  spreads: 'quickly' | 'slowly' | 'no'
  /** the end of keeping it speaks of, so that looks teach the right one; none where it only looks bad */
  ends: End | 'none'
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

export interface Curing {
  /**
   * `drying-power`: water leaves at the pace of the air's pull. `healing`: skin closes at the pace of warmth,
   * and the budget is in hours at the best air.
   */
  clock: 'drying-power' | 'healing'
  /** drying power spent until ready, kPa·h, in breezy shade, net of the stall; or healing hours at the best air */
  budget: Sourced
  /** log standard deviation of that budget between lots */
  budgetLogSd: Sourced
  /** humidity from which nothing leaves it any more, %: the air's water activity is what it could fall to at best */
  stillAbovePct?: Sourced
  /** healing: air it heals in, °C and %; slower beside it */
  healsAtC?: Sourced<Range>
  healsAtPct?: Sourced<Range>
  /** weight when cured ÷ weight when hung */
  finalWeightRatio: Sourced
  finalWeightRatioSd: Sourced
  /** pieces in a bunch, where it is hung in bunches */
  bunch?: Sourced<Range>
  /** what the calendar says, days, for comparison */
  usualDays: Sourced<Range>
  /** how it can be hung or spread, the usual way first */
  hangs: HungIn[]
  /** left to dry off in the open air, in the shade, before it is put away to heal, hours */
  dryOffHours?: Sourced<Range>
  /** turned so often, where it lies */
  turnEveryDays?: Sourced
  endTests: EndTest[]
  conditions: Sourced<Prose>
}

export interface Keeping {
  bestTemperatureC: Sourced<Range>
  bestHumidityPct: Sourced<Range>
  /** life there, days */
  lifeDays: Sourced<Range>
  /** how long households keep it at `ageingAtC`, where practice knows better than the shop's book, days */
  homeDays?: Sourced<Range>
  /** next best at home, in words */
  atHome: Sourced<Prose>
  /** wants dry air: damp rots and moulds it; the others shrivel in dry air instead */
  keptDry: boolean
  /** highest freezing point, °C; dried goods have none */
  freezesAtC?: Sourced
  /** ng/(kg·s·Pa) */
  transpiration: Sourced
  /** largest loss at which it is still saleable, % */
  largestLossPct: Sourced
  /** so many times that a household still eats; our own judgement where it does not say */
  bearableLoss?: number
  /** CO2 = f(9T/5+32)^g mg/(kg·h); dried goods hardly breathe and have none */
  respiration?: Sourced<{ f: number; g: number }>
  /** how many times faster it ages 10 °C warmer, where there is no respiration curve */
  ageingQ10?: Sourced
  /** half the pieces have gone by ageing and rot at `ageingAtC` in the air it likes, days */
  ageingDays: Sourced
  ageingAtC: Sourced
  /** half the pieces have sprouted, days from curing at each temperature: [°C, days] */
  sproutingDays?: Sourced<[number, number][]>
  /** humidity above which roots start, %, and days until half have rooted at 10 °C and 90 % */
  rootsAbovePct?: Sourced
  rootingDays?: Sourced
  /** below this it chills, °C, and half are spoilt after so many days 5 °C below it */
  chillsBelowC?: Sourced
  chillingDays?: Sourced
  /** half have greened after so many days in daylight at 20 °C */
  greeningDays?: Sourced
  /** ripening gas: none, little, some, much */
  ethyleneGiven: Sourced<GasLevel>
  ethyleneFelt: Sourced<GasLevel>
  /** what the gas does to it */
  ethyleneShows?: string
  smell?: string
}

export type GasLevel = 'none' | 'little' | 'some' | 'much'

/** A way from the bed to the plate. */
export interface Way {
  way: 'store' | 'in-ground' | 'freeze' | 'dry' | 'brine' | 'jar' | 'seed' | 'fresh'
  note: Prose
}

export interface Blanch {
  cut: string
  /** minutes in boiling water; null where it is not blanched in water */
  waterMinutes: Sourced<Range | null>
  steamMinutes: Sourced<Range | null>
  note: string
}

export interface Freezing {
  prepare: string
  blanch: Blanch[]
  /** good for so many months at −18 °C */
  lifeMonths: Sourced<Range>
  /** life at −12 °C over life at −18 °C */
  warmShare: Sourced
}

export interface Dehydrating {
  cut: string
  pretreat: string
  airC: Sourced<Range>
  hours: Sourced<Range>
  /** water as it goes on the trays, where that is not the crop's own: seed is kept dry, but comes wet from its fruit */
  startMoisturePct?: Sourced
  finalMoisturePct: Sourced
  doneness: string
  /** fruit is conditioned; brittle vegetables and herbs need it less */
  conditions: boolean
}

/** What is done to dry seed heads and pods before the jar, in this order. */
export type CleaningStep = 'thresh' | 'sieve' | 'winnow'

/** Practitioners differ; each choice with what it does. */
export interface School {
  topic: string
  question: string
  choices: { id: string; label: Prose; does: string }[]
  /** what Vadose takes until the household says otherwise */
  usual: string
}

/** A crop's file: numbers of its own, and names of shared heaps, tests, faults and cautions. */
export interface CropData {
  id: string
  name: string
  plural: string
  synonyms: string[]
  /** words for what is in the hand: “soft neck”, “tops down” */
  looksLike: string[]
  group: CropGroup
  /** first letter of a lot's code */
  letter: string
  botanical: string
  family: string
  piece: { one: string; many: string }
  /** usual weight of a piece ready to store, g */
  pieceG: Sourced
  /** water in it when lifted, % of its weight */
  waterPct: Sourced
  ways: Way[]
  readiness?: Readiness
  handling: string
  trimming: string
  grading: string
  heaps: string[]
  curing?: Omit<Curing, 'endTests'> & { endTests: string[] }
  necks?: string[]
  packs: Packing[]
  needs: PlaceNeed[]
  keeping: Keeping
  freezing?: Freezing
  dehydrating?: Dehydrating
  cleaning?: CleaningStep[]
  /** pieces lifted for each one kept back and planted: a head of garlic is planted as its cloves */
  givesPerPiece?: Sourced
  growing?: Growing
  schools: School[]
  faults: string[]
  cautions: string[]
}

export type CropGroup =
  | 'allium'
  | 'tuber'
  | 'squash'
  | 'root'
  | 'cabbage'
  | 'leaf'
  | 'fruiting'
  | 'legume'
  | 'orchard'
  | 'stone'
  | 'berry'
  | 'herb'
  | 'seed'
  | 'brining'
  | 'goods'

export interface Neck {
  id: string
  label: string
  why: string
}

/** A crop with everything its file only names put in. */
export interface Crop extends Omit<CropData, 'heaps' | 'curing' | 'necks' | 'packs' | 'faults' | 'cautions'> {
  heaps: HeapTemplate[]
  curing?: Curing
  necks: Neck[]
  packs: { id: Packing; label: string }[]
  faults: Fault[]
  cautions: Caution[]
}

export interface Caution {
  id: string
  text: Prose
  source: SourceId
}
