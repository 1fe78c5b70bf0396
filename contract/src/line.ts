import type { CuringView, DryerView, JarView, LotRow } from './lots'
import type { Spread } from './shapes'

export interface LineLot extends LotRow, CuringView {
  hungOn: string
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
  options: {
    id: string
    label: string
    ready: Spread<string | null>
    daysSaved: number | null
    mouldHoursAhead: number
    act: { act: 'fan'; on: boolean } | { act: 'move'; placeId: string } | null
  }[]
}
