import type { LotRow } from './lots'
import type { PlaceView } from './places'
import type { Spread } from './shapes'

export interface StoredLotView extends LotRow {
  nineInTenUntil: Spread<string>
  beyond: boolean
  endedBy: string
}

export interface StoresView {
  places: (PlaceView & {
    /** hourly cloud of the last 30 days, thinned */
    cloud: { temperatureC: number; relativeHumidityPct: number }[]
    /** months to come: mean air */
    ahead: { month: string; temperatureC: number; relativeHumidityPct: number }[]
  })[]
  lots: StoredLotView[]
  windows: { crop: string; label: string; temperatureC: [number, number]; relativeHumidityPct: [number, number] }[]
}

export interface MovePreview {
  code: string
  /** what the dates are for: 9 in 10 still sound, or half where 9 in 10 has passed already */
  level: 'nine-in-ten' | 'half'
  from: { place: string; nineInTenUntil: Spread<string>; beyond: boolean; endedBy: string }
  to: { place: string; nineInTenUntil: Spread<string>; beyond: boolean; endedBy: string; why: string }
  /** days gained at the median; negative is lost */
  daysGained: number
}
