import type { LotRow } from './lots'
import type { Spread } from './shapes'

export interface LarderLot extends LotRow {
  piecesAtFirst: number | null
  weightAtFirstG: number
  /** share of each kilo that would be lost in the coming fortnight */
  lossAvoidedPerKg: number
  keepsUntil: string
  beyond: boolean
  why: string
}

export interface LarderView {
  lots: LarderLot[]
  totals: { crop: string; weightG: number; pieces: number }[]
  runOut: {
    crop: string
    perWeekG: Spread<number> | null
    runsOutOn: Spread<string> | null
    keepsUntil: string | null
  }[]
  weightG: number
}
