import { term, told, type Message } from '../message'
import { endSaid } from '../almanac'
import { endWord } from '../stores'
import { addDays } from '../households'
import { eatFirst, ranked, useWithinShare, type Ranked } from '../larder'
import { soundNow } from '../checks'
import { asideWords } from '../lots'
import type { House } from './house'
import { keepingOf, keepsUntil } from './keeping'
import { othersOf, type LotState } from './lot'
import { soundSharesAhead } from './sound-ahead'
import { useWithin } from './use-within'
import { workable } from './trouble'

const fortnight = 14

export interface EatableLot extends Ranked {
  lot: LotState
  keepsUntil: string
  beyond: boolean
  /** the day its time was over; null where it is not, or somebody has looked since */
  overdueSince: string | null
  why: Message
}

/** Not food yet, or not food at all. */
const notEaten = ['drying', 'dryer', 'conditioning']

/** What is known of a lot for ranking it among the others. */
export const eatableOf = (house: House, lot: LotState): EatableLot =>
  house.seenOf(lot, 'eatable', () => ranked({ ...soundness(house, lot), lot }))

/** Lots to eat from, soonest lost first; planting stock is not food. */
export const eatFirstOf = (house: House): EatableLot[] =>
  house.once<EatFirst>(null, 'eat first', [house], (was) => {
    const lots = workable(house).filter((lot) => !notEaten.includes(lot.stage) && lot.fate !== 'plant')
    const others = was?.setting === house.setting ? othersOf(was.lots, lots) : undefined
    // a write moves few of them: what is in order nearly is so soon
    const order = others ? replaced(house, was!.order, others) : lots.map((lot) => eatableOf(house, lot))
    return { setting: house.setting, lots, order: eatFirst(order) }
  }).order

interface EatFirst {
  setting: object
  lots: readonly LotState[]
  order: EatableLot[]
}

function replaced(house: House, order: readonly EatableLot[], others: [LotState, LotState][]): EatableLot[] {
  const now = new Map(others)
  return order.map((eatable) => {
    const lot = now.get(eatable.lot)
    return lot ? eatableOf(house, lot) : eatable
  })
}

function soundness(house: House, lot: LotState): Omit<EatableLot, 'lot' | 'lossAvoidedPerKg'> {
  const { code, weightG } = lot
  const soon = useWithin(house, lot)
  if (soon) {
    const left = soon.days - soon.age
    const { aside } = lot.history
    const heap = aside
      ? asideWords[aside.why]
      : (lot.cropData.heaps.find((h) => h.id === lot.heap)?.label.toLowerCase() ?? lot.heap)
    return {
      code,
      weightG,
      soundNow: useWithinShare(soon.age, soon.days),
      soundInFortnight: useWithinShare(soon.age + fortnight, soon.days),
      keepsUntil: addDays(house.today, left),
      beyond: false,
      overdueSince: null,
      why: told('stores.heapDaysLeft', { heap: term(heap), left: Math.max(0, left) }),
    }
  }
  const keeping = keepingOf(house, lot)
  return house.once(lot, 'eating', [keeping, lot], () => {
    const { nineInTenUntil, beyond, endedBy, overdueSince } = keepsUntil(house, lot)
    const sound = soundNow(keeping.belief)
    // a note on it changes nothing of what lies ahead
    const left = house.once(lot, 'fortnight', [keeping], () => soundSharesAhead(house, lot, fortnight, 2)[1]!)
    return {
      code,
      weightG,
      soundNow: sound,
      soundInFortnight: sound * left,
      keepsUntil: nineInTenUntil.p50,
      beyond,
      overdueSince,
      why: overdueSince
        ? told('stores.itsTimeIsOver')
        : told('stores.endsFirst', { end: endSaid(endWord(lot.cropData, endedBy)) }),
    }
  })
}
