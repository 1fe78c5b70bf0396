import { sentence, term, told } from '../message'
import { heapOf, requireHeapsAddUp } from '../intake'
import type { Crop, HeapTemplate, HungIn } from '../almanac'
import { Refusal } from '../refusal'
import { draft, type EventDraft } from './event'

export interface BroughtHeap {
  heap: string
  weightG: number
  pieces?: number
  /** the weight is worked out from the count */
  guessed?: boolean
  placeId?: string
  /** how it is hung or spread; the crop's usual way when left out */
  hungIn?: HungIn
}

export interface LotDraft {
  heap: HeapTemplate
  events: EventDraft[]
}

/**
 * The lots one harvest makes, a heap each; their first events add up to the harvest.
 * Hanging heaps go on the line, the rest to where they wait to be used; what goes in the bin is written off at once.
 * @throws Refusal when a heap is unknown or the heaps do not add up
 */
export function bringIn(
  crop: Crop,
  totalG: number,
  heaps: readonly BroughtHeap[],
  airflowOf: (placeId: string) => 'still' | 'breezy',
): LotDraft[] {
  requireHeapsAddUp(totalG, heaps)
  return heaps.map((brought, i) => {
    const heap = heapOf(crop, brought.heap, `heaps/${i}/heap`)
    const { weightG, pieces = 0, placeId = null } = brought
    const details = brought.guessed ? { guessed: 'weight' as const } : {}
    const events = [draft('brought-in', { weightG, pieces, placeId: heap.hangs ? null : placeId, details })]
    if (heap.fate === 'bin') {
      events.push(draft('lost', { weightG: -weightG, pieces: pieces ? -pieces : 0, details: { cause: heap.label } }))
    } else if (!heap.hangs && !heap.useWithinDays) {
      // nothing to dry or finish: it is in store as it comes in
      events.push(draft('finished', { placeId, details: { pack: crop.packs[0]?.id ?? 'box' } }))
    } else if (heap.hangs) {
      events.push(
        draft('hung', {
          placeId,
          details: { airflow: placeId ? airflowOf(placeId) : 'breezy', ...hungIn(crop, brought.hungIn) },
        }),
      )
    }
    return { heap, events }
  })
}

function hungIn(crop: Crop, wanted: HungIn | undefined): { hungIn?: HungIn } {
  const ways = crop.curing?.hangs ?? []
  if (wanted && !ways.includes(wanted)) {
    throw new Refusal('invalid', told('lots.notHungSo', { crop: sentence(term(crop.plural)), way: wanted }), 'hungIn')
  }
  const way = wanted ?? ways[0]
  return way ? { hungIn: way } : {}
}
