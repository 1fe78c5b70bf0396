import { Refusal } from '../refusal'
import type { CleaningStep, Crop } from '../almanac'
import type { EventDraft } from './event'
import type { LotHistory } from './history'

/** Surprises are asked about, never refused for good: `sure` passes. */
export const surpriseShare = 1.2

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

export type LotAct =
  | { act: 'weigh'; weightG: number; basis: 'lot' | 'bunch'; sure?: boolean }
  | { act: 'test'; results: { test: string; passed: boolean }[] }
  | { act: 'fan'; on: boolean }
  | { act: 'move'; placeId: string }
  | {
      act: 'finish'
      neck?: string
      pack: string
      placeId: string
      weightG: number
      pieces?: number
      /** so many nets, sacks, jars */
      units?: number
      /** tops, roots and what was cut away, weighed */
      wasteG?: number
      grades?: Grade[]
      sure?: boolean
    }
  | { act: 'check'; lookedAt: number; faults: { fault: string; pieces: number; action: string }[] }
  | ({ act: 'use' | 'give' | 'plant' } & Taking)
  | ({ act: 'lose'; cause: string } & Taking)
  | { act: 'correct'; weightG: number; pieces?: number; why: string }
  | { act: 'note'; text: string }
  | { act: 'strike'; event: number; why: string }
  | { act: 'clean'; step: CleaningStep; weightG: number }
  | { act: 'load'; takenG?: number; weightG: number; trays: number; airC: number; placeId: string; sure?: boolean }
  | { act: 'grade'; grades: Grade[] }
  | { act: 'rotate' }
  | { act: 'jar'; weightG: number; sure?: boolean }
  | { act: 'shake'; beads: boolean; mould: boolean; jarHumidityPct?: number }

/** What an act writes: events of the lot, and of the lots it splits off. */
export interface ActOutcome {
  events: EventDraft[]
  /** lots split off, each with the heap it is (the lot's own when null), in the order of the split-out events */
  splitsOff?: { heap: string | null; events: EventDraft[] }[]
}

export interface ActContext {
  crop: Crop
  lot: LotHistory
  nowMs: number
  /** how air moves in a place when nothing is done about it */
  airflowOf: (placeId: string) => 'still' | 'breezy'
}

export function requireStage(lot: LotHistory, stage: LotHistory['stage'], says: string): void {
  if (lot.stage !== stage) throw new Refusal(`not-${stage}`, says)
}
export const requireDrying = (lot: LotHistory) => requireStage(lot, 'drying', 'This lot is not on the line.')
