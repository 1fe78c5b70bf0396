import type { CuringView, DryerView, JarView, LotRow } from './lots'
import type { Spread } from './shapes'

export interface LineLot extends LotRow, CuringView {
  hungOn: string
  /** “in bunches”; null where nobody said */
  hungIn: string | null
}

export interface LineView {
  lots: LineLot[]
  /** drying power by place, 6-hour means, from ten days back to five ahead */
  air: { placeId: string; place: string; points: { at: string; vpdKPa: number; ahead: boolean }[] }[]
  stallKPa: number
  /** in the dehydrator, and in conditioning jars */
  dryer: (LotRow & { load: DryerView })[]
  jars: (LotRow & { jar: JarView })[]
}

export interface LineLotDetail {
  code: string
  basis: 'lot' | 'bunch' | null
  weighings: { at: string; weightG: number }[]
  curve: { at: string; p10: number; p50: number; p90: number }[]
  options: LineOption[]
}

/** Something to do with a hanging lot, and what would come of it. */
export interface LineOption {
  id: string
  label: string
  ready: Spread<string | null>
  /** days sooner than left as it is; null where the comparison has no end */
  daysSaved: number | null
  /** hours damp enough for mould in the next fortnight, and how many fewer than left as it is */
  mouldHoursAhead: number
  mouldHoursAvoided: number
  act: { act: 'fan'; on: boolean } | { act: 'move'; placeId: string } | null
  /** a screen where it is done, if it takes more than a tap */
  to: string | null
}

export interface LineAdvice {
  /** mean pull of the air, kPa, by place that something dries in */
  tomorrow: {
    placeId: string
    place: string
    lots: number
    vpdKPa: number
    lastDayKPa: number
    stalls: boolean
    stallKPa: number
  }[]
  /** best first */
  moves: { code: string; crop: string; heap: string; option: LineOption }[]
}
