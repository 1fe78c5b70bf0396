import type { CleaningStep, Form, HungIn, Origin, Unit } from '../almanac'

/** What can happen to a lot. Rows of these are only ever added. */
export type EventKind =
  | 'brought-in'
  | 'hung'
  | 'weighed'
  | 'tested'
  | 'fan'
  | 'finished'
  | 'split-out'
  | 'split-in'
  | 'moved'
  | 'checked'
  | 'used'
  | 'lost'
  | 'given'
  | 'planted'
  | 'corrected'
  | 'noted'
  | 'cleaned'
  | 'loaded'
  | 'rotated'
  | 'jarred'
  | 'shaken'
  | 'undone'
  | 'restated'
  | 'relabelled'
  | 'fed'
  | 'tagged'
  | 'frozen'
  | 'added'
  | 'made'

/** An event about to be written. Changes are whole grams and pieces; the lot's quantity is their sum. */
export interface EventDraft {
  kind: EventKind
  weightG: number
  pieces: number
  placeId: string | null
  details: EventDetails
}

/** An entry put right: what it says now, where it stands, in all that can change of it. */
export type Telling = Pick<EventDraft, 'weightG' | 'pieces' | 'placeId' | 'details'> & { atMs: number }

/** What a tag says of a lot. */
export interface Label {
  crop: string
  variety: string | null
  bed: string | null
  heap: string
  broughtOn: string
}

/** Why something is set aside to be used soon. */
export type AsideReason = (typeof asideReasons)[number] | 'opened'
export const asideReasons = ['eat-first', 'cut-round', 'cook', 'freeze', 'dry', 'juice'] as const

/** Where what nobody eats goes. */
export type Ending = (typeof endings)[number]
export const endings = ['compost', 'bin', 'burn'] as const

/** Whether a line earned its shelf. */
export const verdicts = ['more', 'same', 'never'] as const
export type Verdict = (typeof verdicts)[number]

export interface LotEvent extends EventDraft {
  atMs: number
  /** its number in the ledger; events not yet written have none */
  id?: number
  /** an act here wrote it, which can be undone: it came with no file */
  acted?: boolean
}

export interface EventDetails {
  /** planted: the bed it was put in */
  bed?: string
  /** what the scale showed, g, and of what */
  scaleG?: number
  basis?: 'lot' | 'bunch'
  results?: { test: string; passed: boolean }[]
  airflow?: 'still' | 'breezy' | 'fan'
  /** how much better the air reaches it than it usually hangs: in smaller bunches, spread thinner */
  gain?: number
  /** how it was hung or spread */
  hungIn?: HungIn
  /** the entry this one undoes or restates, and what kind that was */
  strikes?: number
  of?: EventKind
  /** the words that count from now on */
  instead?: Telling
  /** what a tag said, and says */
  was?: Partial<Label>
  is?: Partial<Label>
  /** pieces or grams were asked for, the other is worked out; or all there was */
  by?: 'pieces' | 'weight' | 'all'
  /** what nobody weighed or counted, but worked out from the other; put right, nothing of it */
  guessed?: 'weight' | 'pieces' | 'nothing'
  /** pieces counted, where the whole lot was */
  counted?: number
  /** set aside to be used within so many days */
  aside?: { why: AsideReason; days: number }
  /** animals it was fed to, or where what nobody eats went */
  to?: string
  /** how it was prepared before it was frozen: “blanched, diced” */
  prepared?: string
  /** what it is from now on: its form, its name, what it is counted in */
  form?: Form
  name?: string
  unit?: Unit
  /** how much one of them holds: “0.5 L” */
  size?: string
  /** a dish of several things */
  dish?: boolean
  /** how it came into the house, where it was not brought in from the garden */
  source?: Origin
  /** good for so many days, where somebody says */
  lifeDays?: number
  /** the tested recipe it was made by, and how it was processed */
  recipe?: string
  processed?: string
  /** a ferment: days after which it is first tasted */
  tasteAfterDays?: number
  neck?: string
  pack?: string
  units?: number
  wasteG?: number
  lookedAt?: number
  bad?: number
  lotSize?: number
  faults?: { fault: string; pieces: number; action: string }[]
  fault?: string
  cause?: string
  code?: string
  text?: string
  /** a note that asks to be minded on a day */
  mindOn?: string
  /** whether there should be more of it, as much, or none again */
  verdict?: Verdict
  /** a germination test: seeds laid out, and those that came up */
  sown?: number
  came?: number
  why?: string
  /** what was done to clean it */
  step?: CleaningStep
  /** dehydrator: trays and the air it is set to */
  trays?: number
  airC?: number
  /** conditioning jar */
  beads?: boolean
  mould?: boolean
  jarHumidityPct?: number
  /** where a split-off lot stands, if not in store */
  stage?: 'fresh' | 'drying'
}

export const draft = (kind: EventKind, rest: Partial<Omit<EventDraft, 'kind'>> = {}): EventDraft => ({
  kind,
  weightG: 0,
  pieces: 0,
  placeId: null,
  details: {},
  ...rest,
})
