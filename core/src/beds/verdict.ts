import type { Crop, ReadinessSchool } from '../almanac'
import { addDays, dayAsOf, daysBetween, type CivilDate } from '../households'
import { dryForDays, frostSays, liftingDay, unwateredDays, type DayAhead } from '../intake'
import type { BedEntry, Stand } from './entry'
import { signWords, turnWords } from './says'

/** One sign, and when it says to lift. */
export interface SignSays {
  by: 'tried' | 'sign' | 'scapes' | 'tops-bent' | 'planted' | 'last-year'
  on: CivilDate
  from: CivilDate
  to: CivilDate
  /** what was seen, in a few words */
  seen: string
}

export interface StandVerdict {
  state: 'wait' | 'lift' | 'late' | 'unknown'
  /** when to lift; null where nothing says */
  window: { from: CivilDate; to: CivilDate } | null
  /** the day the weather leaves for it, where it is time */
  day: CivilDate | null
  /** every sign, the one that is gone by first */
  signs: SignSays[]
  /** the verdict and what goes before it, in sentences */
  says: string[]
  /** what is to be done next at the bed, and when */
  next: { what: 'look' | 'cut-scapes' | 'lift'; on: CivilDate; why: string } | null
}

/** a sign looked at longer ago says less than one of now, days. Judgement. */
const freshDays = 14
/** scapes are cut at one to one and a half turns, and curl about half a turn in so many days. Common practice, no source. */
export const scapeTurns = { from: 1, to: 1.5 }
const halfTurnDays = 4
/** bent over, tops wither in one to two weeks. Common practice, no source. */
const bentDays = [7, 14] as const
/** one lifted to try: too early is tried again in a week, ready stands for ten days. Judgement. */
const tryAgainDays = 7
const readyDays = 10
/** looks come closer as the day does: halfway to it, within these bounds, days. Judgement. */
const lookEvery = { least: 3, most: 21 }
/** before anything was seen, the first look comes so long before it is usually time, days */
const firstLookDays = 28
/** last year's day, give or take, days. Judgement. */
const yearsDiffer = 10

/** The school a household lifts by, or the almanac's usual one. */
export function liftingSchool(crop: Crop, choice: string | undefined): ReadinessSchool | undefined {
  const { schools = [], usual } = crop.readiness ?? {}
  return schools.find((s) => s.id === (choice ?? usual)) ?? schools[0]
}

const newest = (entries: readonly BedEntry[], ...what: BedEntry['what'][]) =>
  entries.findLast((entry) => what.includes(entry.what))

/** How fast the sign goes on, share a week: the almanac's, and more and more the bed's own the longer it was watched. */
export function signPace(crop: Crop, entries: readonly BedEntry[]): number {
  const usual = crop.readiness!.sharePerWeek.value
  const looks = entries.filter((entry) => entry.what === 'sign' && entry.value !== null)
  const [first, last] = [looks[0], looks.at(-1)]
  if (!first || !last) return usual
  const days = daysBetween(first.on, last.on)
  const seen = last.value! - first.value!
  // what stood at its first or last stage all the while says nothing of the pace
  if (days < 3 || seen <= 0) return usual
  const weight = days / (days + 7)
  return Math.min(4 * usual, Math.max(usual / 4, weight * ((seen / days) * 7) + (1 - weight) * usual))
}

function signsOf(crop: Crop, school: ReadinessSchool | undefined, stand: Stand, today: CivilDate): SignSays[] {
  const day = dayAsOf(today)
  const { entries } = stand
  const found: SignSays[] = []
  const tried = newest(entries, 'tried')
  const outcome = tried && tried.value !== null ? crop.readiness?.tryOne?.outcomes[tried.value] : undefined
  if (tried && outcome) {
    const { on } = tried
    const [from, to] =
      outcome.says === 'early'
        ? [addDays(on, tryAgainDays), addDays(on, 3 * tryAgainDays)]
        : outcome.says === 'ready'
          ? [on, addDays(on, readyDays)]
          : [on, on]
    found.push({ by: 'tried', on, from, to, seen: outcome.label })
  }
  const sign = newest(entries, 'sign')
  if (sign && sign.value !== null && school && crop.readiness) {
    const share = sign.value
    const { on } = sign
    const pace = signPace(crop, entries)
    const reach = (s: number) => addDays(on, Math.round(((s - share) / pace) * 7))
    found.push({
      by: 'sign',
      on,
      from: reach(school.from.value),
      to: reach(school.to.value),
      seen: signWords(crop, share),
    })
  }
  const days = crop.readiness?.scapeDays?.value
  const cut = newest(entries, 'scapes-cut')
  if (days && cut) {
    found.push({
      by: 'scapes',
      on: cut.on,
      from: addDays(cut.on, days[0]),
      to: addDays(cut.on, days[1]),
      seen: `scapes cut ${day(cut.on)}`,
    })
  }
  const bent = newest(entries, 'tops-bent')
  if (bent) {
    found.push({
      by: 'tops-bent',
      on: bent.on,
      from: addDays(bent.on, bentDays[0]),
      to: addDays(bent.on, bentDays[1]),
      seen: `tops bent over ${day(bent.on)}`,
    })
  }
  const grows = crop.growing?.days.value
  if (stand.plantedOn && grows) {
    found.push({
      by: 'planted',
      on: stand.plantedOn,
      from: addDays(stand.plantedOn, grows[0]),
      to: addDays(stand.plantedOn, grows[1]),
      seen: `planted ${day(stand.plantedOn)}`,
    })
  }
  const { lastYear } = stand
  // what is picked all summer has no day
  if (lastYear && crop.curing) {
    found.push({
      by: 'last-year',
      on: lastYear,
      from: addDays(lastYear, -yearsDiffer),
      to: addDays(lastYear, yearsDiffer),
      seen: 'the day of last year',
    })
  }
  return found
}

/** What says when to lift; the others only when it is worth a look. */
const telling = (crop: Crop, sign: SignSays) => !crop.readiness || !['planted', 'last-year'].includes(sign.by)

/** What is gone by first: one tried, the sign, the scapes; an old look only where none is fresh. */
function ranked(signs: readonly SignSays[], today: CivilDate): SignSays[] {
  const looked = (sign: SignSays) => sign.by === 'tried' || sign.by === 'sign'
  const old = (sign: SignSays) => looked(sign) && daysBetween(sign.on, today) > freshDays
  const someFresh = signs.some((sign) => looked(sign) && !old(sign))
  return signs.filter((sign) => !(someFresh && old(sign)))
}

/** What was seen too early to lift says when to look again, not that it is ready: things go faster and slower. */
const foreseen = ({ by, on, from }: SignSays) => (by === 'sign' || by === 'tried') && on < from

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

function scapesNext(crop: Crop, stand: Stand, today: CivilDate): StandVerdict['next'] {
  if (!crop.readiness?.scapeDays || newest(stand.entries, 'scapes-cut')) return null
  const seen = newest(stand.entries, 'scapes')
  if (!seen || seen.value === null) return null
  const turns = Math.max(0, scapeTurns.from - seen.value)
  const on = addDays(seen.on, Math.round((turns / 0.5) * halfTurnDays))
  return turns > 0
    ? {
        what: 'look',
        on,
        why: `Scapes at ${turnWords(seen.value)}: cut them at one to one and a half, about ${dayAsOf(today)(on)}.`,
      }
    : {
        what: 'cut-scapes',
        on: seen.on,
        why:
          seen.value > scapeTurns.to
            ? 'The scapes have straightened: cut them now, the bulbs are the smaller for it.'
            : 'The scapes have made their turn: cut them now, three to four weeks before lifting.',
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

function nextAt(
  crop: Crop,
  stand: Stand,
  { state, window, day, led }: Pick<StandVerdict, 'state' | 'window' | 'day'> & { led: SignSays | undefined },
  scapes: StandVerdict['next'],
  today: CivilDate,
): StandVerdict['next'] {
  if (stand.over) return null
  if (state === 'lift' || state === 'late') {
    return state === 'late'
      ? { what: 'lift', on: window!.to, why: 'It is past its window.' }
      : { what: 'lift', on: day ?? window!.from, why: `Its window is open until ${dayAsOf(today)(window!.to)}.` }
  }
  if (scapes && scapes.on <= addDays(today, lookEvery.least)) return scapes
  const look = lookNext(crop, stand, window, led, dayAsOf(today))
  return scapes && (!look || scapes.on < look.on) ? scapes : look
}

/** The next look: the closer the day is, the sooner. */
function lookNext(
  crop: Crop,
  stand: Stand,
  window: StandVerdict['window'],
  led: SignSays | undefined,
  day: (date: CivilDate) => string,
): StandVerdict['next'] {
  const last = stand.entries.findLast((entry) => !['planted', 'watered', 'cleared'].includes(entry.what))
  const after = (days: number) => (last ? addDays(last.on, days) : null)
  if (!window || !led) {
    if (last) return { what: 'look', on: after(tryAgainDays)!, why: 'A week after the last look.' }
    return stand.plantedOn ? null : { what: 'look', on: stand.entries[0]!.on, why: 'Nobody has looked yet.' }
  }
  if (!telling(crop, led)) {
    const first = addDays(window.from, -firstLookDays)
    const again = after(lookEvery.most)
    const why = last ? `Last looked at ${day(last.on)}.` : 'The first look: what the sign says, and the soil.'
    return { what: 'look', on: again && again > first ? again : first, why }
  }
  const from = last?.on ?? led.on
  const gap = Math.round(daysBetween(from, window.from) / 2)
  const on = addDays(from, Math.min(lookEvery.most, Math.max(lookEvery.least, gap)))
  return { what: 'look', on, why: `Last looked at ${day(from)}; it may be time from ${day(window.from)}.` }
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
