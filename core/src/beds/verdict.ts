import type { Crop } from '../almanac'
import { dayAsOf, daysBetween, type CivilDate } from '../households'
import { dryForDays, frostSays, liftingDay, unwateredDays, type DayAhead } from '../intake'
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
  const signs = ranked(signsOf(crop, liftingSchool(crop, choice), stand, today), today)
  const ahead = weather.filter((day) => day.ahead)
  const led = signs[0]
  const window = led ? { from: led.from, to: led.to } : null
  const state = stateOf(crop, led, today)
  const day = dayAsOf(today)
  const says: string[] = []
  const frost = frostSays(crop, today, ahead)
  if (frost) says.push(frost.says)
  let best = frost?.on ?? null
  if (!led || !window) {
    says.push('Nothing has been seen yet that says when: look, and write down what you see.')
  } else if (state === 'wait') {
    says.push(`${sentence(led.seen)}: lift ${day(window.from)} to ${day(window.to)}.`)
  } else if (state === 'unknown') {
    says.push(
      foreseen(led)
        ? `${sentence(led.seen)} on ${day(led.on)}: it may be ready by now. Look before you lift it.`
        : `${sentence(led.seen)}: usually ready ${day(window.from)} to ${day(window.to)}. Look what it says.`,
    )
  } else {
    const sky = liftingDay(crop, window.to, today, ahead)
    says.push(`${sentence(led.seen)}: lift ${state === 'late' ? 'now' : `by ${day(window.to)}`}. ${sky.says}`.trim())
    best ??= sky.day
  }
  for (const other of signs.slice(1)) {
    if (telling(crop, other)) says.push(`By “${other.seen}” it is ${day(other.from)} to ${day(other.to)}.`)
  }
  says.push(...wateringSays(crop, stand, state, window, today, weather))
  const scapes = scapesNext(crop, stand, today)
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
): string[] {
  if (!crop.curing || crop.curing.clock === 'healing' || !window) return []
  if (daysBetween(today, window.from) > 2 * unwateredDays) return []
  const ended = newest(stand.entries, 'unwatered')
  const can = newest(stand.entries, 'watered')
  if (!ended && state === 'wait') return ['Stop watering a week or two before: write it down when you do.']
  const past = weather.filter((d) => !d.ahead && d.on < today)
  const rain = stand.growsIn === 'roofed' ? null : dryForDays(past)
  const since = [
    ...(rain === null ? [] : [rain]),
    ...(can ? [daysBetween(can.on, today)] : stand.growsIn === 'bed' || !ended ? [] : [daysBetween(ended.on, today)]),
  ]
  if (since.length === 0) return []
  const dry = Math.min(...since)
  const by = can && daysBetween(can.on, today) === dry ? 'the can' : 'rain'
  return [
    dry >= unwateredDays
      ? `Dry for ${dry} days.`
      : `Only ${dry} ${dry === 1 ? 'day' : 'days'} since ${by}; about ${unwateredDays} dry ones are wanted before lifting.`,
  ]
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
