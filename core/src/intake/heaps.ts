import { grams, term, told } from '../message'
import { Refusal } from '../refusal'
import type { Crop, HeapTemplate } from '../almanac'

export interface HeapWeight {
  heap: string
  weightG: number
}

/** @throws Refusal `invalid` when the crop has no such heap */
export function heapOf(crop: Crop, id: string, field = 'heap'): HeapTemplate {
  const heap = crop.heaps.find((h) => h.id === id)
  if (!heap) throw new Refusal('invalid', told('intake.noHeap', { crop: term(crop.name), id }), field)
  return heap
}

/** Grams still to be put on a heap; negative when the heaps are heavier than the harvest. */
export const remainderG = (totalG: number, heaps: readonly HeapWeight[]): number =>
  totalG - heaps.reduce((sum, heap) => sum + heap.weightG, 0)

/**
 * Heaps must add up to the harvest, to the gram.
 * @throws Refusal `heaps-differ`, saying by how much
 */
export function requireHeapsAddUp(totalG: number, heaps: readonly HeapWeight[]): void {
  const left = remainderG(totalG, heaps)
  if (left === 0) return
  throw new Refusal(
    'heaps-differ',
    left > 0 ? told('intake.heapsLighter', { left: grams(left) }) : told('intake.heapsHeavier', { left: grams(-left) }),
    'heaps',
  )
}
