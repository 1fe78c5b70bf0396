import { unwateredDays } from '../assumptions'
import type { Crop } from '../almanac'
import { daysBetween, type CivilDate } from '../households'
import { dryForDays, frostSays, liftingDay, type DayAhead } from '../intake'
import { onDay, sentence, told, type Message } from '../message'
import type { Stand } from './entry'
import { nextAt, scapesNext } from './next'
import { foreseen, liftingSchool, newest, ranked, signsOf, telling, type SignSays, type StandVerdict } from './signs'

function stateOf(crop: Crop, led: SignSays | undefined, today: CivilDate): StandVerdict['state'] {
  if (!led) return 'unknown'
  if (today < led.from) return 'wait'
  if (!telling(crop, led) || foreseen(led)) return 'unknown'
  return today > led.to ? 'late' : 'lift'
}

/**
 * One verdict from all that was seen at a bed, with the weather to come.
 * @param choice the school the household lifts by
 * @param weather past days and days ahead, oldest first; today is the first that is ahead
 */
export function standVerdict(
  crop: Crop,
  choice: string | undefined,
  stand: Stand,
  today: CivilDate,
  weather: readonly (DayAhead & { ahead: boolean })[],
): StandVerdict {
  const signs = ranked(signsOf(crop, liftingSchool(crop, choice), stand), today)
  const ahead = weather.filter((day) => day.ahead)
  const led = signs[0]
  const window = led ? { from: led.from, to: led.to } : null
  const state = stateOf(crop, led, today)
  const says: Message[] = []
  const frost = frostSays(crop, today, ahead)
  if (frost) says.push(frost.says)
  let best = frost?.on ?? null
  if (!led || !window) {
    says.push(told('beds.nothingSeen'))
  } else if (state === 'wait') {
    says.push(told('beds.wait', { seen: sentence(led.seen), from: onDay(window.from), to: onDay(window.to) }))
  } else if (state === 'unknown') {
    says.push(
      foreseen(led)
        ? told('beds.mayBeReady', { seen: sentence(led.seen), on: onDay(led.on) })
        : told('beds.usuallyReady', { seen: sentence(led.seen), from: onDay(window.from), to: onDay(window.to) }),
    )
  } else {
    const sky = liftingDay(crop, window.to, today, ahead)
    says.push(
      told('beds.liftBy', {
        seen: sentence(led.seen),
        late: state === 'late' ? 'yes' : 'no',
        to: onDay(window.to),
        skied: sky.says ? 'yes' : 'no',
        sky: sky.says,
      }),
    )
    best ??= sky.day
  }
  for (const other of signs.slice(1)) {
    if (telling(crop, other))
      says.push(told('beds.bySign', { seen: other.seen, from: onDay(other.from), to: onDay(other.to) }))
  }
  says.push(...wateringSays(crop, stand, state, window, today, weather))
  const scapes = scapesNext(crop, stand)
  if (scapes) says.push(scapes.why)
  return {
    state,
    window,
    day: best,
    signs,
    says,
    next: nextAt(crop, stand, { state, window, day: best, led }, scapes, today),
  }
}

/** What is to cure is left dry before it is lifted: by the sky where rain reaches it, else by the can. */
function wateringSays(
  crop: Crop,
  stand: Stand,
  state: StandVerdict['state'],
  window: StandVerdict['window'],
  today: CivilDate,
  weather: readonly (DayAhead & { ahead: boolean })[],
): Message[] {
  if (!crop.curing || crop.curing.clock === 'healing' || !window) return []
  if (daysBetween(today, window.from) > 2 * unwateredDays) return []
  const ended = newest(stand.entries, 'unwatered')
  const can = newest(stand.entries, 'watered')
  if (!ended && state === 'wait') return [told('beds.stopWatering')]
  const past = weather.filter((d) => !d.ahead && d.on < today)
  const rain = stand.growsIn === 'roofed' ? null : dryForDays(past)
  const since = [
    ...(rain === null ? [] : [rain]),
    ...(can ? [daysBetween(can.on, today)] : stand.growsIn === 'bed' || !ended ? [] : [daysBetween(ended.on, today)]),
  ]
  if (since.length === 0) return []
  const dry = Math.min(...since)
  const by = can && daysBetween(can.on, today) === dry ? 'can' : 'rain'
  return [
    dry >= unwateredDays
      ? told('beds.dryFor', { days: dry })
      : told('beds.dryOnly', { days: dry, by, wanted: unwateredDays }),
  ]
}
