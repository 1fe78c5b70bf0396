import { instantOf } from '../households'
import { heapLike, lotHistory, relabelling, requireCanBe, type Entry, type Label } from '../lots'
import { curingOfLot, readyDates } from './curing'
import type { House } from './house'
import { keepsUntil } from './keeping'
import { cropIn, stateOf, type LotState } from './lot'
import { useWithin } from './use-within'
import { addDays } from '../households'

/** The dates of a lot that a tag has to do with. */
export interface LabelDates {
  from: string | null
  to: string | null
  says: 'ready' | 'keeps' | 'use within'
}

/** What a lot's dates would be with another crop, variety, heap or day on its tag. Nothing is done. */
export function ifRelabelled(
  house: House,
  lot: LotState,
  { crop, variety, heap, broughtOn }: Partial<Pick<Label, 'crop' | 'variety' | 'heap' | 'broughtOn'>>,
  timeZone: string,
): { now: LabelDates | null; then: LabelDates | null } {
  const becomes = cropIn(house.almanac, crop ?? lot.crop)
  requireCanBe(becomes, lot.stage)
  const is = {
    ...(crop ? { crop } : {}),
    ...(variety ? { variety } : {}),
    ...(broughtOn ? { broughtOn } : {}),
    heap: heap ?? heapLike(becomes, lot.heap),
  }
  const ledger = lot.history.events as readonly Entry[]
  const drafts = relabelling(ledger, lot, is, broughtOn ? { broughtAtMs: instantOf(broughtOn, 12, timeZone) } : {})
  let id = Math.max(0, ...ledger.map((e) => e.id))
  const events = [...ledger, ...drafts.map((d) => ({ ...d, atMs: house.nowMs, id: ++id }))]
  const history = lotHistory(events, lot.history.origin)
  // a lot of its own: what is known of the real one stays known
  const then = stateOf({ ...lot, ...is, id: `${lot.id} relabelled` }, history, house.almanac)
  return { now: datesOf(house, lot), then: datesOf(house, then) }
}

function datesOf(house: House, lot: LotState): LabelDates | null {
  if (lot.stage === 'drying') {
    if (!lot.cropData.curing) return null
    const ready = readyDates(house, curingOfLot(house, lot).state.readyAtMs)
    return { from: ready.p10, to: ready.p90, says: 'ready' }
  }
  const soon = useWithin(house, lot)
  if (soon) {
    const until = addDays(house.today, soon.days - soon.age)
    return { from: until, to: until, says: 'use within' }
  }
  if (lot.stage !== 'stored' && lot.stage !== 'fresh') return null
  const { nineInTenUntil } = keepsUntil(house, lot)
  return { from: nineInTenUntil.p10, to: nineInTenUntil.p90, says: 'keeps' }
}
