import type { MarkedBed, NewHarvest } from '@vadose/contract/intake'
import type { PlaceView } from '@vadose/contract/places'
import type { Crop, HeapTemplate, HungIn } from '@vadose/core/almanac'
import { proposePlace, remainderG, type HeapWeight } from '@vadose/core/intake'
import { bareLarge, gramsFromSum } from '../households'
import { countFrom } from '../lots'

/** What has been typed for a heap. */
export interface HeapEntry {
  kilos: string
  pieces: string
  placeId: string
  /** code of an earlier lot it is put to; a new lot when empty */
  addTo: string
  /** how it is hung or spread */
  hungIn: string
}
export type HeapEntries = ReadonlyMap<string, HeapEntry>

/** Where the almanac would put a heap, by the air the house's places have now; nowhere before they are known. */
export const proposedPlace = (crop: Crop, heap: HeapTemplate, places: readonly PlaceView[]): string =>
  proposePlace(
    crop,
    heap,
    places.map(({ id, kind, dark, air }) => ({ id, kind, dark, ...air })),
  ) ?? ''

/** A crop's heaps before anything is typed. */
export const emptyHeaps = (crop: Crop, places: readonly PlaceView[]): [string, HeapEntry][] =>
  crop.heaps.map((heap) => [
    heap.id,
    {
      kilos: '',
      pieces: '',
      placeId: proposedPlace(crop, heap, places),
      addTo: '',
      hungIn: crop.curing?.hangs[0] ?? '',
    },
  ])

/** What the typed weights and counts come to. */
export interface HarvestSum {
  /** all of it as weighed; null where that was left empty or cannot be read */
  typedTotalG: number | null
  /** all of it, or else what the heaps come to */
  totalG: number | null
  /** on no heap yet; negative when the heaps are heavier */
  leftG: number
  /** what is on no other heap counts as the first one, until that is weighed by itself */
  restIsSound: boolean
  /** heaps nobody weighed: reckoned from their count */
  guessed: ReadonlySet<string>
  /** a heap's weight that cannot be read */
  unreadable: boolean
  adds: boolean
  /** in the almanac's order, so that the sound heap gets the first code */
  heaps: HeapWeight[]
}

export function sumHarvest(crop: Crop, total: string, entries: HeapEntries): HarvestSum {
  const untotalled = total.trim() === ''
  const gramsOf = (id: string): number | null => {
    const entry = entries.get(id)
    const weighedG = gramsFromSum(entry?.kilos ?? '', 'kg')
    if (weighedG !== null || !untotalled || entry?.kilos.trim()) return weighedG
    // nothing was weighed at all: reckoned from its count
    const count = countFrom(entry?.pieces ?? '')
    return count ? Math.max(1, Math.round(count * crop.pieceG.value)) : null
  }
  const guessed = new Set(
    crop.heaps.flatMap(({ id }) =>
      gramsOf(id) !== null && gramsFromSum(entries.get(id)?.kilos ?? '', 'kg') === null ? [id] : [],
    ),
  )
  const weighed = crop.heaps.map((h) => ({ heap: h.id, weightG: gramsOf(h.id) ?? 0 })).filter((h) => h.weightG > 0)
  const typedTotalG = gramsFromSum(total, 'kg')
  const totalG = typedTotalG ?? (untotalled ? weighed.reduce((sum, h) => sum + h.weightG, 0) || null : null)
  const leftG = remainderG(totalG ?? 0, weighed)
  const first = crop.heaps[0]!.id
  const restIsSound = typedTotalG !== null && !entries.get(first)?.kilos.trim() && leftG > 0
  const unreadable = [...entries.values()].some((e) => e.kilos.trim() !== '' && gramsFromSum(e.kilos, 'kg') === null)
  return {
    typedTotalG,
    totalG,
    leftG,
    restIsSound,
    guessed,
    unreadable,
    adds: totalG !== null && (leftG === 0 || restIsSound) && !unreadable,
    heaps: restIsSound ? [{ heap: first, weightG: leftG }, ...weighed.filter((h) => h.heap !== first)] : weighed,
  }
}

/** Heads kept back for planting come from the sound heap: what they have more, it has less. */
export function keptFrom(
  entries: HeapEntries,
  sound: string,
  planting: string,
  kept: { weightG: number; pieces: number },
): [string, HeapEntry][] {
  const from = entries.get(sound)!
  const to = entries.get(planting)!
  const counted = countFrom(from.pieces)
  const weighedG = gramsFromSum(from.kilos, 'kg')
  // what lay there before comes along
  const moreG = kept.weightG - (gramsFromSum(to.kilos, 'kg') ?? 0)
  const more = kept.pieces - (countFrom(to.pieces) ?? 0)
  return [
    [planting, { ...to, kilos: bareLarge(kept.weightG), pieces: String(kept.pieces) }],
    [
      sound,
      {
        ...from,
        pieces: counted && counted > more ? String(counted - more) : from.pieces,
        kilos: weighedG !== null && weighedG > moreG ? bareLarge(weighedG - moreG) : from.kilos,
      },
    ],
  ]
}

/** What the bed bore before, where that matters for this crop's family. */
export function markOf(
  bed: string,
  family: string,
  marked: readonly MarkedBed[],
  familyOf: (crop: string) => string,
): MarkedBed | undefined {
  const name = bed.trim().toLowerCase()
  return marked.find((m) => m.bed.toLowerCase() === name && familyOf(m.crop) === family)
}

/** The heaps as they are sent. */
export const heapsToSend = (crop: Crop, sum: HarvestSum, entries: HeapEntries): NewHarvest['heaps'] =>
  sum.heaps.map((heap) => {
    const { pieces: typed, placeId, addTo, hungIn } = entries.get(heap.heap)!
    const pieces = countFrom(typed)
    const hangs = crop.heaps.find((h) => h.id === heap.heap)!.hangs
    return {
      ...heap,
      ...(pieces ? { pieces } : {}),
      ...(sum.guessed.has(heap.heap) ? { guessed: true } : {}),
      ...(addTo ? { addTo } : placeId ? { placeId } : {}),
      ...(hangs && hungIn && !addTo ? { hungIn: hungIn as HungIn } : {}),
    }
  })
