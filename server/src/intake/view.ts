import type { PickedCrop } from '@vadose/contract/intake'
import { mondayOf } from '@vadose/core/households'
import type { Move } from '../projections'

/** What came in of each crop since a day, by week from its Monday. */
export function pickedByWeek(moves: Iterable<Move>, since: string): PickedCrop[] {
  const crops = new Map<string, Map<string, number>>()
  for (const { kind, on, crop, weightG } of moves) {
    if (kind !== 'brought-in' || on < since) continue
    const weeks = crops.get(crop) ?? new Map<string, number>()
    crops.set(crop, weeks.set(mondayOf(on), (weeks.get(mondayOf(on)) ?? 0) + weightG))
  }
  const byKey = ([a]: [string, unknown], [b]: [string, unknown]) => (a < b ? -1 : 1)
  return [...crops].sort(byKey).map(([crop, weeks]) => ({
    crop,
    totalG: [...weeks.values()].reduce((sum, g) => sum + g, 0),
    weeks: [...weeks].sort(byKey).map(([from, weightG]) => ({ from, weightG })),
  }))
}
