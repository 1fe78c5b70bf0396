import type { Crop } from '../almanac'
import { term, told } from '../message'
import { Refusal } from '../refusal'
import { gradeNames } from './act'
import type { Part } from '../message'
import { draft, type EventDraft, type Label, type LotEvent } from './event'
import type { Stage } from './history-type'
import { retold, type Entry } from './retell'
import { standing } from './undo'

/** What of a tag would be another; empty where it says that already. */
export function labelChanges(was: Label, is: Partial<Label>): (keyof Label)[] {
  return (Object.keys(is) as (keyof Label)[]).filter((key) => is[key] !== undefined && is[key] !== was[key])
}

/** What a tag says by its ledger: in all that was ever put right there, the last words that stand, or the first of all. */
export function labelTold(events: readonly LotEvent[]): Partial<Label> {
  const first: Partial<Label> = {}
  for (const { kind, details } of events) if (kind === 'relabelled') Object.assign(first, { ...details.was, ...first })
  for (const { kind, details } of standing(events)) if (kind === 'relabelled') Object.assign(first, details.is)
  return first
}

/**
 * A lot on the line or in the dehydrator is a crop that can be there.
 * @throws Refusal `not-cured`
 */
export function requireCanBe(crop: Pick<Crop, 'name' | 'curing' | 'dehydrating'>, stage: Stage): void {
  const can = stage === 'drying' ? crop.curing : stage === 'dryer' || stage === 'conditioning' ? crop.dehydrating : true
  if (!can) {
    throw new Refusal('not-cured', told('lots.notDriedSo', { crop: term(crop.name) }), 'crop')
  }
}

/** heaps that any crop's lot can be, made by sorting it */
const anyCropHas: readonly string[] = [...gradeNames, 'planting']

/** The heap of another crop that is most like this one: its own name there, or the first. */
export const heapLike = (crop: Crop, heap: string): string =>
  anyCropHas.includes(heap) ? heap : (crop.heaps.find(({ id }) => id === heap)?.id ?? crop.heaps[0]!.id)

/**
 * The entries of a tag put right. With another day of harvest, what was written as it came in is of that day.
 * @param broughtAtMs noon of the day it came in by the new tag
 * @returns none where the tag says that already
 * @throws Refusal `in-the-way` where something happened to it before that day
 */
export function relabelling(
  events: readonly Entry[],
  was: Label,
  is: Partial<Label>,
  { broughtAtMs, why, says }: { broughtAtMs?: number; why?: string; says?: (e: LotEvent) => Part },
): EventDraft[] {
  const keys = labelChanges(was, is)
  if (keys.length === 0) return []
  const reason = why === undefined ? {} : { why }
  const pick = (from: Partial<Label>): Partial<Label> => Object.fromEntries(keys.map((key) => [key, from[key]]))
  const entry = draft('relabelled', { details: { was: pick(was), is: pick(is), ...reason } })
  if (!keys.includes('broughtOn') || broughtAtMs === undefined) return [entry]
  const kept = standing(events)
  const firstMs = kept[0]?.atMs
  const next = kept.find((e) => e.atMs !== firstMs)
  if (next && broughtAtMs > next.atMs) {
    throw new Refusal('in-the-way', told('lots.inTheWay', { entry: says?.(next) ?? next.kind }), 'broughtOn')
  }
  const restate = kept.filter((e) => e.atMs === firstMs).map(({ id }) => ({ id, instead: { atMs: broughtAtMs } }))
  return [...retold(events, { restate, ...reason }, says), entry]
}
