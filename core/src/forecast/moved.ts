import { dayMs, daysBetween, type CivilDate } from '../households'
import { onDay, told, type Message } from '../message'
import { House } from './house'
import { keepsUntil } from './keeping'
import { lotState, type LotState } from './lot'
import { comingHour, outdoorsOf, placeState } from './place'
import { troubleOf } from './trouble'
import { leastMovedDays, movedAtMostDays, movedBackDays } from '../assumptions'

/** How a lot's date has moved since last week, and what moved it. */
export interface DateMoved {
  since: CivilDate
  /** nine in ten were said to be good to this day */
  was: CivilDate
  /** later is above nothing */
  days: number
  says: Message
}

/** What was thought of a lot a week ago against now: by its own entries, and by the air that came since. */
export function movedSince(house: House, lot: LotState): DateMoved | null {
  const { history } = lot
  const thenMs = house.nowMs - movedBackDays * dayMs
  const beganMs = history.storedAtMs
  if (lot.stage !== 'stored' || beganMs === null || beganMs > thenMs || beganMs < house.nowMs - movedAtMostDays * dayMs)
    return null
  if (troubleOf(house, lot)) return null
  return house.once(lot, 'moved', [lot, house.place(lot.placeId)?.ahead, house.today], () => {
    const lotThen = lotState(
      lot,
      history.events.filter(({ atMs }) => atMs <= thenMs),
      house.almanac,
      history.origin,
    )
    if (lotThen.stage !== 'stored') return null
    const now = keepsUntil(house, lot).nineInTenUntil.p50
    const was = keepsUntil(houseThen(house, lotThen, thenMs), lotThen).nineInTenUntil.p50
    const days = daysBetween(was, now)
    if (Math.abs(days) < leastMovedDays) return null
    const untouched = new House({
      ...factsOf(house),
      lots: house.lots.map((one) => (one.id === lot.id ? lotThen : one)),
    })
    const byAir = daysBetween(was, keepsUntil(untouched, lotThen).nineInTenUntil.p50)
    return { since: house.dateOf(thenMs), was, days, says: whyMoved(house, lot, thenMs, days, byAir) }
  })
}

const factsOf = (house: House) => ({
  household: house.household,
  places: house.everyPlace,
  lots: house.lots,
  almanac: house.almanac,
  nowMs: house.nowMs,
  rainMm: house.rainMm,
  stands: house.stands,
  lessons: house.lessons,
})

/** The house with what was known of its air then: of the places the lot has been in. */
function houseThen(house: House, lotThen: LotState, thenMs: number): House {
  const nowMs = comingHour(thenMs)
  const garden = house.everyPlace.find(({ kind }) => kind === 'outdoors')
  const outdoors = outdoorsOf(house.climate, nowMs, garden?.record)
  const been = new Set([lotThen.placeId, ...lotThen.history.stays.map(({ placeId }) => placeId)])
  const places = house.everyPlace
    .filter(({ id }) => been.has(id))
    .map((place) => {
      const measured = place.measuredAtMs === null ? null : Math.min(place.measuredAtMs, thenMs)
      return placeState(place, place.record, measured, { climate: house.climate, nowMs, outdoors })
    })
  return new House({ ...factsOf(house), places, lots: [lotThen], nowMs: thenMs, rainMm: new Map() })
}

function whyMoved(house: House, { history }: LotState, thenMs: number, days: number, byAir: number): Message {
  const since = history.events.filter(({ atMs }) => atMs > thenMs)
  const look = history.checks.filter(({ atMs }) => atMs > thenMs).at(-1)
  const move = since.findLast(({ kind, placeId }) => kind === 'moved' && placeId !== null)
  if (Math.abs(byAir) >= Math.abs(days - byAir)) {
    return told('stores.airMoved', { better: days > 0 ? 'yes' : 'no' })
  }
  if (move) {
    const place = house.place(move.placeId)?.name.toLowerCase()
    return told('stores.carried', { place, placed: place ? 'yes' : 'no' })
  }
  if (look) {
    const { bad, lookedAt } = look
    return told('stores.lookMoved', { on: onDay(house.dateOf(look.atMs)), bad, lookedAt })
  }
  return told('stores.enteredMoved')
}
