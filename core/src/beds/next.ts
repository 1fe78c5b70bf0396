import type { Crop } from '../almanac'
import { addDays, daysBetween, type CivilDate } from '../households'
import { onDay, told } from '../message'
import type { Stand } from './entry'
import { turnSays } from './says'
import { newest, telling, type SignSays, type StandVerdict } from './signs'
import { bedFirstLookDays, bedLookEvery, halfTurnDays, scapeTurns, tryAgainDays } from '../assumptions'

/** When the scapes are to be looked at or cut; null where they are, or nobody looked. */
export function scapesNext(crop: Crop, stand: Stand): StandVerdict['next'] {
  if (!crop.readiness?.scapeDays || newest(stand.entries, 'scapes-cut')) return null
  const seen = newest(stand.entries, 'scapes')
  if (!seen || seen.value === null) return null
  const turns = Math.max(0, scapeTurns.from - seen.value)
  const on = addDays(seen.on, Math.round((turns / 0.5) * halfTurnDays))
  return turns > 0
    ? {
        what: 'look',
        on,
        why: told('beds.scapesAt', { turns: turnSays(seen.value), on: onDay(on) }),
      }
    : {
        what: 'cut-scapes',
        on: seen.on,
        why: told('beds.cutScapes', { straight: seen.value > scapeTurns.to ? 'yes' : 'no' }),
      }
}

/** What is to be done at a bed next. */
export function nextAt(
  crop: Crop,
  stand: Stand,
  { state, window, day, led }: Pick<StandVerdict, 'state' | 'window' | 'day'> & { led: SignSays | undefined },
  scapes: StandVerdict['next'],
  today: CivilDate,
): StandVerdict['next'] {
  if (stand.over) return null
  if (state === 'lift' || state === 'late') {
    return state === 'late'
      ? { what: 'lift', on: window!.to, why: told('beds.pastWindow') }
      : { what: 'lift', on: day ?? window!.from, why: told('beds.windowOpen', { to: onDay(window!.to) }) }
  }
  if (scapes && scapes.on <= addDays(today, bedLookEvery.least)) return scapes
  const look = lookNext(crop, stand, window, led)
  return scapes && (!look || scapes.on < look.on) ? scapes : look
}

/** The next look: the closer the day is, the sooner. */
function lookNext(
  crop: Crop,
  stand: Stand,
  window: StandVerdict['window'],
  led: SignSays | undefined,
): StandVerdict['next'] {
  const last = stand.entries.findLast((entry) => !['planted', 'watered', 'cleared'].includes(entry.what))
  const after = (days: number) => (last ? addDays(last.on, days) : null)
  if (!window || !led) {
    if (last) return { what: 'look', on: after(tryAgainDays)!, why: told('beds.weekAfter') }
    return stand.plantedOn ? null : { what: 'look', on: stand.entries[0]!.on, why: told('beds.nobodyLooked') }
  }
  if (!telling(crop, led)) {
    const first = addDays(window.from, -bedFirstLookDays)
    const again = after(bedLookEvery.most)
    const why = last ? told('beds.lastLooked', { on: onDay(last.on) }) : told('beds.firstLook')
    return { what: 'look', on: again && again > first ? again : first, why }
  }
  const from = last?.on ?? led.on
  const gap = Math.round(daysBetween(from, window.from) / 2)
  const on = addDays(from, Math.min(bedLookEvery.most, Math.max(bedLookEvery.least, gap)))
  return { what: 'look', on, why: told('beds.lastLookedMayBe', { on: onDay(from), from: onDay(window.from) }) }
}
