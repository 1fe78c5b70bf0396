import type { LotState, PlaceFacts } from '@vadose/core/forecast'
import { dayMs } from '@vadose/core/households'

/** so much of every place's past is read: two rounds of the seasons that it is fitted to, and what a thick wall remembers */
const keptDays = 900

/** From when on the air of places is known, ms by place. */
export type Reach = ReadonlyMap<string, number>

/** From when on the air of each place is wanted: longer where something lies, or lay, that came before. */
export function reachFor(places: readonly PlaceFacts[], lots: Iterable<LotState>, nowMs: number): Reach {
  const reach = new Map(places.map(({ id }) => [id, nowMs - keptDays * dayMs]))
  const wholes = new Map(places.map(({ id, within }) => [id, within]))
  const want = (placeId: string, fromMs: number) => {
    if (fromMs < (reach.get(placeId) ?? -Infinity)) reach.set(placeId, fromMs)
  }
  for (const lot of lots) {
    const { stays, broughtAtMs } = lot.history
    const where = stays.length > 0 ? stays : [{ placeId: lot.placeId, atMs: broughtAtMs }]
    where.forEach(({ placeId, atMs }, k) => {
      const fromMs = k === 0 ? Math.min(broughtAtMs, atMs) : atMs
      // what is not there any more is taken for where the lot is now; a shelf has the air of what it is a part of
      const place = placeId !== null && reach.has(placeId) ? placeId : lot.placeId
      if (place === null) return
      want(place, fromMs)
      const whole = wholes.get(place)
      if (whole) want(whole, fromMs)
    })
  }
  return reach
}

/** Whether something wants air from before what is known of a place. */
export const beyond = (reach: Reach, wanted: Reach): boolean =>
  [...wanted].some(([placeId, fromMs]) => fromMs < (reach.get(placeId) ?? -Infinity))
