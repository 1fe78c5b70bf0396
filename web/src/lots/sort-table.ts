import { feeding, type Crop } from '@vadose/core/almanac'
import type { SortFate, SortHeap } from '@vadose/core/lots'
import { say } from './say'
import { sayWord } from '../voice'

/** One heap on the sorting table: what it is for, what belongs on it, and how it is told apart without colour. */
export interface TableHeap {
  fate: SortFate
  label: string
  hint: string
  pattern: 'plain' | 'stripes' | 'cross' | 'dots' | 'bars' | 'grid'
}

/** the first heaps have their number for a key */
export const heapsWithKeys = 8

/** The heaps a crop is sorted into, the usual ones first. */
export function tableHeaps(crop: Crop): TableHeap[] {
  const feed = feeding(crop)
  const juicy = ['orchard', 'berry', 'stone', 'fruiting'].includes(crop.group)
  const heap = (fate: SortFate, label: string, hint: string, pattern: TableHeap['pattern']): TableHeap => ({
    fate,
    label,
    hint,
    pattern,
  })
  return [
    heap('store', say('backIntoStore'), say('soundAndDry'), 'plain'),
    heap('eat-first', say('eatFirst'), say('nickedSoftSoonSprouting'), 'stripes'),
    heap('cook', say('kitchenNow'), say('cutRoundAndCookedThese'), 'cross'),
    heap('plant', say('forPlanting'), say('trueToNameSoundThe'), 'dots'),
    heap('freeze', say('toFreeze'), say('preparedWithinTwoDays'), 'bars'),
    ...(feed.safe ? [heap('feed', say('hens'), sayWord(feed.says), 'grid')] : []),
    heap('compost', say('compost'), say('tiredButNotDiseased'), 'stripes'),
    heap('bin', say('bin'), say('wetRotAndDiseaseNever'), 'cross'),
    heap('small', say('smallOnes'), say('aLotOfTheirOwn'), 'dots'),
    heap('large', say('largeOnes'), say('aLotOfTheirOwn'), 'bars'),
    heap('give', say('givenAway'), say('outOfTheHouseToday'), 'grid'),
    heap('use', say('eatenToday'), say('toTheKitchenGoneFrom'), 'plain'),
    ...(crop.dehydrating ? [heap('dry', say('toDry'), say('onTheTraysWithinTwo'), 'stripes')] : []),
    ...(juicy ? [heap('juice', say('toJuice'), say('pressedWithinThreeDays'), 'bars')] : []),
    heap('burn', say('burnt'), say('whatMustNotComeBack'), 'cross'),
  ]
}

/** What is in the hand: counted, weighed, or all that is left on the table. */
export type Amount = { pieces: number } | { weightG: number } | { rest: true }
/** What was thrown on a heap. */
export type Throw = Amount & { fate: SortFate }

interface Poured {
  weightG: number
  pieces: number | null
}
export interface HeapSum {
  weightG: number
  /** where all of it was counted */
  pieces?: number
}
/** The table as it stands: every heap, and what still lies there. */
export interface Table {
  heaps: ReadonlyMap<SortFate, HeapSum>
  left: Poured
}

const gramsOf = (t: Throw, meanG: number): number => ('weightG' in t ? t.weightG : 'pieces' in t ? t.pieces * meanG : 0)

function sumOf(own: readonly Throw[], meanG: number): HeapSum {
  const weightG = Math.round(own.reduce((sum, t) => sum + gramsOf(t, meanG), 0))
  const counted = own.length > 0 && own.every((t) => 'pieces' in t)
  return counted ? { weightG, pieces: own.reduce((sum, t) => sum + ('pieces' in t ? t.pieces : 0), 0) } : { weightG }
}

/**
 * What lies where, by the scale where it was weighed and by the lot's mean where it was counted.
 * @param meanG weight of a piece, g
 */
export function tableOf(lot: Poured, throws: readonly Throw[], meanG: number): Table {
  const fates = [...new Set(throws.map((t) => t.fate))]
  const heaps = new Map(
    fates.map((fate) => [
      fate,
      sumOf(
        throws.filter((t) => t.fate === fate),
        meanG,
      ),
    ]),
  )
  const grams = [...heaps.values()].reduce((sum, heap) => sum + heap.weightG, 0)
  const counted = throws.reduce((n, t) => n + ('pieces' in t ? t.pieces : Math.round(gramsOf(t, meanG) / meanG)), 0)
  const left: Poured = {
    weightG: Math.max(0, lot.weightG - grams),
    pieces: lot.pieces === null ? null : Math.max(0, lot.pieces - counted),
  }
  // whatever is taken back later, one heap has all that the others leave
  const takesRest = throws.find((t) => 'rest' in t)
  if (!takesRest) return { heaps, left }
  const heap = heaps.get(takesRest.fate)!
  const pieces = heap.pieces ?? (heap.weightG === 0 ? 0 : undefined)
  heaps.set(takesRest.fate, {
    weightG: heap.weightG + left.weightG,
    ...(pieces !== undefined && left.pieces !== null ? { pieces: pieces + left.pieces } : {}),
  })
  return { heaps, left: { weightG: 0, pieces: left.pieces === null ? null : 0 } }
}

/** The heaps as they are sent: counted ones by their count, the rest by weight; what takes all the rest comes last. */
export function heapsToSort(throws: readonly Throw[], order: readonly SortFate[], meanG: number): SortHeap[] {
  const made = order.flatMap((fate): SortHeap[] => {
    const own = throws.filter((t) => t.fate === fate)
    if (own.length === 0) return []
    const to = fate === 'feed' ? { to: 'hens' } : {}
    // what stays of itself needs no saying
    if (own.some((t) => 'rest' in t)) return fate === 'store' ? [] : [{ fate, all: true, ...to }]
    const { weightG, pieces } = sumOf(own, meanG)
    return [{ fate, ...(pieces === undefined ? { weightG } : { pieces }), ...to }]
  })
  return [...made.filter((heap) => !heap.all), ...made.filter((heap) => heap.all)]
}

/** Throws as they were laid down; none where what is kept there cannot be read. */
export function throwsFrom(kept: string | null): Throw[] {
  try {
    const read: unknown = JSON.parse(kept ?? '[]')
    return Array.isArray(read) ? read.filter((t: Throw) => typeof t === 'object' && t !== null && 'fate' in t) : []
  } catch {
    return []
  }
}

/** Fates that make a lot of their own. */
export const makesLot = (fate: SortFate): boolean =>
  !['store', 'use', 'feed', 'give', 'compost', 'bin', 'burn'].includes(fate)
