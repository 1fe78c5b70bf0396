import { addDays, type CivilDate } from '@vadose/core/households'
import type { LotAct } from '@vadose/core/lots'
import type { BedSign } from '@vadose/core/beds'
import type { Form, Origin, Unit } from '@vadose/core/almanac'
import type { Dish } from '@vadose/core/kitchen'

/** A place is named in steps; the loader knows its id. */
type Named<T> = T extends { placeId: string } ? Omit<T, 'placeId'> & { place: string } : T

/** A line put on a shelf. */
export interface StockOf {
  crop: string
  name?: string
  form: Form
  source: Origin
  unit?: Unit
  pieces: number
  weightG?: number
  size?: string
  on?: CivilDate
  prepared?: string
  recipe?: string
  processed?: string
  bestBefore?: CivilDate
  lifeDays?: number
  tasteAfterDays?: number
  note?: string
  place?: string
}

export type Step = { on: CivilDate; hour: number } & (
  | {
      do: 'harvest'
      crop: string
      variety: string
      bed: string
      signShare: number
      heaps: { heap: string; weightG: number; pieces?: number; place: string }[]
    }
  /** the scale shows what the air has done to it, with this lot's own budget and dry weight */
  | { do: 'weigh'; code: string; firstG: number; budgetFactor: number; finalRatio: number }
  | { do: 'act'; code: string; act: Named<LotAct> }
  | { do: 'stock'; lines: StockOf[] }
  | {
      do: 'dish'
      dish: Omit<Dish, 'placeId' | 'takes' | 'adds'> & {
        takes: Dish['takes'][number][]
        adds: Dish['adds'][number][]
        place: string
      }
    }
  /** the shelves counted: what was off, by code; the rest as expected */
  | { do: 'count'; off: Record<string, number> }
  | { do: 'look'; crop: string; variety: string; bed: string; what: BedSign; value?: number }
)

export const weighings = (
  code: string,
  firstG: number,
  budgetFactor: number,
  finalRatio: number,
  days: CivilDate[],
): Step[] => days.map((on) => ({ on, hour: 8, do: 'weigh', code, firstG, budgetFactor, finalRatio }))

/** So many pieces used every few days, in a household's uneven way. */
export function uses(code: string, from: CivilDate, times: number, everyDays: number, pieces: number[]): Step[] {
  return Array.from({ length: times }, (_, i): Step => ({
    on: addDays(from, Math.round(i * everyDays + Math.sin(i * 2.4) * 1.2)),
    hour: 18,
    do: 'act',
    code,
    act: { act: 'use', pieces: pieces[i % pieces.length]! },
  }))
}

export const check = (
  on: CivilDate,
  code: string,
  lookedAt: number,
  faults: { fault: string; pieces: number; action: string }[] = [],
): Step => ({
  on,
  hour: 17,
  do: 'act',
  code,
  act: { act: 'check', lookedAt, faults },
})

export const passAll = {
  act: 'test',
  results: [
    { test: 'skins', passed: true },
    { test: 'roots', passed: true },
    { test: 'neck', passed: true },
  ],
} satisfies LotAct

/** A part of a lot cut up and put in the dehydrator; it becomes a lot of its own. */
export const dryer = (
  on: CivilDate,
  hour: number,
  code: string,
  takenG: number,
  weightG: number,
  trays: number,
): Step[] => [{ on, hour, do: 'act', code, act: { act: 'load', takenG, weightG, trays, airC: 60, place: 'Kitchen' } }]

export const lift = (
  on: CivilDate,
  hour: number,
  crop: string,
  variety: string,
  bed: string,
  signShare: number,
  heaps: { heap: string; weightG: number; pieces?: number; place: string }[],
): Step => ({ on, hour, do: 'harvest', crop, variety, bed, signShare, heaps })

/** Picked week by week and eaten within days; the code is the one the next lot of its letter gets. */
export const picks = (
  crop: string,
  variety: string,
  bed: string,
  letter: string,
  from: CivilDate,
  grams: number[],
): Step[] =>
  grams.flatMap((weightG, i): Step[] => [
    lift(addDays(from, 7 * i), 18, crop, variety, bed, 0.6, [{ heap: 'sound', weightG, place: 'Kitchen' }]),
    { on: addDays(from, 7 * i + 1), hour: 19, do: 'act', code: `${letter}26-${i + 1}`, act: { act: 'use', weightG } },
  ])

/** All of a lot, prepared, bagged and frozen. */
export const frozen = (
  on: CivilDate,
  hour: number,
  code: string,
  weightG: number,
  bags: number,
  prepared: string,
): Step => ({ on, hour, do: 'act', code, act: { act: 'freeze', weightG, bags, prepared, place: 'Chest freezer' } })

/** What was seen or done at a bed. */
export const look = (
  on: CivilDate,
  crop: string,
  variety: string,
  bed: string,
  what: BedSign,
  value?: number,
): Step => ({
  on,
  hour: 19,
  do: 'look',
  crop,
  variety,
  bed,
  what,
  ...(value === undefined ? {} : { value }),
})
