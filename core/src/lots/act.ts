import { told, type Message } from '../message'
import { Refusal } from '../refusal'
import type { CleaningStep, Crop, HungIn, Habits } from '../almanac'
import { asideReasons, endings, type Ending, type EventDraft, type Verdict } from './event'
import type { LotHistory } from './history-type'

/** Pieces or grams, one of the two. */
export interface Taking {
  pieces?: number
  weightG?: number
}

/** Sizes and kinds a lot is sorted into besides its main one. */
export const gradeNames = ['large', 'middling', 'small', 'seconds'] as const
export interface Grade {
  grade: (typeof gradeNames)[number]
  weightG: number
  pieces?: number
}

/** What becomes of a heap when a lot is poured out and sorted. */
export const sortFates = ['store', ...asideReasons, 'plant', ...gradeNames, 'use', 'feed', 'give', ...endings] as const
export type SortFate = (typeof sortFates)[number]

/** What is left when something is cooked and is worth keeping. */
export const keptKinds = ['peelings', 'seed'] as const

export interface SortHeap {
  fate: SortFate
  /** by the scale, counted, or both; what is left out follows from the lot's mean */
  weightG?: number
  pieces?: number
  /** all that the other heaps leave, instead of an amount; one heap at most */
  all?: boolean
  /** where it goes; where the lot is when left out */
  placeId?: string
  /** days it has, for what is set aside */
  days?: number
  /** what was wrong with it */
  fault?: string
  /** animals it goes to */
  to?: string
}

export interface SortAct {
  act: 'sort'
  heaps: SortHeap[]
  /** what is left on the table goes back into store, or is not accounted for */
  rest: 'store' | 'missing'
  sure?: boolean
}

export type LotAct =
  | { act: 'weigh'; weightG: number; basis: 'lot' | 'bunch'; sure?: boolean }
  | { act: 'test'; results: { test: string; passed: boolean }[] }
  | { act: 'fan'; on: boolean }
  /** hung in smaller bunches, spread thinner */
  | { act: 'thin' }
  /** all of it, or a part that becomes a lot of its own; a part can stay where it is, apart */
  | ({ act: 'move'; placeId: string } & Taking)
  /** taken down too early: back on the line */
  | { act: 'hang'; placeId: string; hungIn?: HungIn }
  | {
      act: 'finish'
      neck?: string
      pack: string
      placeId: string
      weightG: number
      pieces?: number
      /** what of it is taken down, as it stood on the line; all of it when left out */
      ofG?: number
      /** so many nets, sacks, jars */
      units?: number
      /** tops, roots and what was cut away, weighed */
      wasteG?: number
      /** nobody weighed it */
      guessed?: boolean
      grades?: Grade[]
      sure?: boolean
    }
  | { act: 'check'; lookedAt: number; faults: { fault: string; pieces: number; action: string }[] }
  | {
      act: 'freeze'
      /** what is taken for it, one of the two; all of it when both are left out */
      takenG?: number
      pieces?: number
      /** what goes into the freezer, prepared */
      weightG: number
      bags?: number
      pack?: 'bag' | 'box' | 'vacuum' | 'mould'
      /** “blanched, diced” */
      prepared: string
      placeId: string
      sure?: boolean
    }
  /** peelings and seed not thrown away, weighed or by eye */
  | ({ act: 'use'; kept?: { what: (typeof keptKinds)[number]; weightG?: number }[] } & Taking)
  /** one of them opened: it stands in the fridge with its days */
  | { act: 'open'; placeId?: string }
  | ({ act: 'give' } & Taking)
  | ({ act: 'plant'; bed?: string } & Taking)
  | ({ act: 'lose'; cause: string; to?: Ending } & Taking)
  | ({ act: 'feed'; to: string } & Taking)
  | SortAct
  /** its tag was printed and tied on */
  | { act: 'tag' }
  | { act: 'correct'; weightG: number; pieces?: number; why: string }
  | { act: 'note'; text: string; mindOn?: string }
  /** so many seeds laid out on damp paper, so many came up */
  | { act: 'germinate'; sown: number; came: number }
  | { act: 'judge'; verdict: Verdict }
  | { act: 'clean'; step: CleaningStep; weightG: number }
  | { act: 'load'; takenG?: number; weightG: number; trays: number; airC: number; placeId: string; sure?: boolean }
  | { act: 'grade'; grades: Grade[] }
  | { act: 'rotate' }
  | { act: 'jar'; weightG: number; sure?: boolean }
  | { act: 'shake'; beads: boolean; mould: boolean; jarHumidityPct?: number }

/** What an act writes: events of the lot, and of the lots it splits off. */
export interface ActOutcome {
  events: EventDraft[]
  /** lots split off, each with the heap and the fate it has (the lot's own when left out), in the order of the split-out events */
  splitsOff?: { heap: string | null; fate?: string; events: EventDraft[] }[]
}

export interface ActContext {
  crop: Crop
  lot: LotHistory
  nowMs: number
  /** how air moves in a place when nothing is done about it */
  airflowOf: (placeId: string) => 'still' | 'breezy'
  /** the household's; the usual ones where it has none of its own */
  habits?: Habits
}

export function requireStage(lot: LotHistory, stage: LotHistory['stage'], says: Message): void {
  if (lot.stage !== stage) throw new Refusal(`not-${stage}`, says)
}
export const requireDrying = (lot: LotHistory) => requireStage(lot, 'drying', told('lots.notOnLine'))
