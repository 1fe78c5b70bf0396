import { told } from '../message'
import { Refusal } from '../refusal'
import { cautions, type CautionId } from './cautions'
import type { Crop, CropData } from './crop'
import { endTests, type EndTestId } from './end-tests'
import { faults, type FaultId } from './faults'
import { heapTemplates, type HeapId } from './heaps'
import { necks, type NeckId } from './necks'
import { packings } from './packing'

function named<K extends string, T>(from: Record<K, T>, id: string, what: string, crop: string): T {
  if (!Object.hasOwn(from, id)) {
    throw new Refusal(
      'invalid',
      told('almanac.unknownPart', { crop, what, id, known: Object.keys(from).join(', ') }),
      what,
    )
  }
  return from[id as K]
}

/**
 * A crop with the shared heaps, end tests, faults and cautions it names put in.
 * @throws Refusal `invalid` when it names one that does not exist
 */
export function resolveCrop(data: CropData): Crop {
  const known = resolved.get(data) ?? resolve(data)
  resolved.set(data, known)
  return known
}

/** What was worked out on a crop as it ships holds in every household that has changed nothing of it. */
const resolved = new WeakMap<CropData, Crop>()

function resolve(data: CropData): Crop {
  const { id } = data
  const { curing, ...rest } = data
  return {
    ...rest,
    heaps: data.heaps.map((heap) => named<HeapId, Crop['heaps'][number]>(heapTemplates, heap, 'heap', id)),
    ...(curing
      ? {
          curing: {
            ...curing,
            endTests: curing.endTests.map((test) =>
              named<EndTestId, (typeof endTests)[EndTestId]>(endTests, test, 'end test', id),
            ),
          },
        }
      : {}),
    necks: (data.necks ?? []).map((neck) => named<NeckId, Crop['necks'][number]>(necks, neck, 'neck', id)),
    packs: data.packs.map((pack) => ({ id: pack, label: named(packings, pack, 'packing', id) })),
    faults: data.faults.map((fault) => named<FaultId, Crop['faults'][number]>(faults, fault, 'fault', id)),
    cautions: data.cautions.map((caution) =>
      named<CautionId, Crop['cautions'][number]>(cautions, caution, 'caution', id),
    ),
  }
}
