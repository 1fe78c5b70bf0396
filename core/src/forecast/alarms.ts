import { hourMs } from '../air'
import { normalShare } from '../chance'
import { beliefAfterChecks } from '../checks'
import { addDays, dayMs, daysBetween, type CivilDate } from '../households'
import { degrees, listing, onDay, term, told, type Listing, type Message } from '../message'
import { likeOf, placeKinds } from '../places'
import { hoursOf } from '../readings'
import { closedPackings, keepingForecast } from '../stores'
import type { House } from './house'
import { keepingDate, keepingOf, keepsElsewhere } from './keeping'
import { packingOf } from './lived'
import type { LotState } from './lot'
import type { PlaceState } from './place'
import { troubleOf, workable } from './trouble'
import {
  dampHours,
  dampWatch,
  forecastOffC,
  freezerHours,
  freezerWarmC,
  freezerWatch,
  frostChance,
  guessedOffC,
  leastFrostIn,
  nightDropC,
  nightsAhead,
  offMoreC,
  silentHours,
  worseDays,
  worseFor,
  worseShare,
  wroteHours,
} from '../assumptions'

export interface Alarm {
  /** the same as long as it is about the same place and the same lots: what is muted by it stays muted */
  key: string
  kind: 'frost' | 'damp' | 'silent' | 'freezer-warm' | 'worse'
  /** the day it is about */
  on: CivilDate
  title: Message
  says: Message
  /** what to do */
  todo: Message
  place: PlaceState | undefined
  codes: string[]
}

const listed = (lots: readonly LotState[]): Listing =>
  listing([...new Set(lots.map(({ cropData }) => cropData.plural))].map(term))
const codesOf = (lots: readonly LotState[]) => lots.map(({ code }) => code).sort()

/** What cannot wait for the round, soonest first. */
export const alarmsOf = (house: House): Alarm[] =>
  [
    ...house.places.flatMap((place) => [
      ...frostComing(house, place),
      ...dampFor(house, place),
      ...silent(house, place),
      ...freezerWarm(house, place),
    ]),
    ...workable(house).flatMap((lot) => turnedWorse(house, lot)),
  ].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))

const lotsIn = (house: House, place: PlaceState) => workable(house).filter((lot) => lot.placeId === place.id)

function frostComing(house: House, place: PlaceState): Alarm[] {
  if (place.kind === 'freezer' || place.frostSafe) return []
  const tender = lotsIn(house, place).filter(
    ({ form, cropData }) => form === 'fresh' && cropData.keeping.freezesAtC !== undefined,
  )
  if (tender.length === 0) return []
  const inside = place.kind === 'outdoors' || place.kind === 'veranda' ? 1 : Math.max(leastFrostIn, place.fit.gain)
  for (let night = 0; night < nightsAhead; night++) {
    const guessed = place.measuredAtMs === null
    const nights = place.ahead.temperatureC.subarray(night * 24, (night + 1) * 24)
    // of a place nobody measured only the day's mean is known, and that not well
    const coldest = Math.min(...nights) - (guessed ? nightDropC[placeKinds[place.kind].airflow] : 0)
    const sd = Math.hypot((forecastOffC + offMoreC * night) * inside, guessed ? guessedOffC : 0)
    const struck = tender.filter(
      ({ cropData }) => normalShare((cropData.keeping.freezesAtC!.value - coldest) / sd) >= frostChance,
    )
    if (struck.length === 0) continue
    // a fridge has no room for a harvest
    const best = keepsElsewhere(house, struck[0]!).find(({ place: to }) => likeOf(to).frostSafe && to.kind !== 'fridge')
    const codes = codesOf(struck)
    return [
      {
        key: `frost ${place.id} ${codes.join(' ')}`,
        kind: 'frost',
        on: addDays(house.today, night),
        title: told('alarms.frostTitle', { place: place.name.toLowerCase() }),
        says: told('alarms.frost', {
          colder:
            coldest < Math.max(...struck.map(({ cropData }) => cropData.keeping.freezesAtC!.value)) ? 'no' : 'yes',
          coldest: degrees(coldest, 1),
          night,
          lots: listed(struck),
        }),
        todo: told('alarms.frostTodo', {
          carried: best ? 'yes' : 'no',
          n: codes.length,
          place: best?.place.name.toLowerCase(),
          night,
        }),
        place,
        codes,
      },
    ]
  }
  return []
}

/** Kept dry, and open to the air: what is in a closed jar feels none of it. */
const feelsDamp = (lot: LotState) =>
  lot.cropData.keeping.keptDry && ['fresh', 'dried'].includes(lot.form) && !closedPackings.includes(packingOf(lot))

/** What is kept dry, in air that has been damp for days. */
function dampFor(house: House, place: PlaceState): Alarm[] {
  if (place.measuredAtMs === null) return []
  const { past } = place
  const last = past.mouldExcessPct.subarray(Math.max(0, past.hours - dampWatch))
  const damp = last.reduce((n, excess) => n + (excess > 0 ? 1 : 0), 0)
  if (damp < dampHours) return []
  const dry = lotsIn(house, place).filter((lot) => lot.stage === 'drying' || (lot.stage === 'stored' && feelsDamp(lot)))
  if (dry.length === 0) return []
  const codes = codesOf(dry)
  return [
    {
      key: `damp ${place.id} ${codes.join(' ')}`,
      kind: 'damp',
      on: house.today,
      title: told('alarms.dampTitle', { days: Math.round(damp / 24), place: place.name.toLowerCase() }),
      says: told('alarms.damp', { hours: damp, of: dampWatch, lots: listed(dry), n: dry.length }),
      todo: told('alarms.dampTodo'),
      place,
      codes,
    },
  ]
}

function silent(house: House, place: PlaceState): Alarm[] {
  const { record, measuredAtMs } = place
  if (!record || measuredAtMs === null || place.within !== null) return []
  const stillFor = (house.nowMs - measuredAtMs) / hourMs
  if (stillFor < silentHours) return []
  const lastHour = Math.min(hoursOf(record) - 1, Math.floor((measuredAtMs - record.startMs) / hourMs))
  const week = record.temperatureC.subarray(Math.max(0, lastHour - 167), lastHour + 1)
  if (week.reduce((n, t) => n + (Number.isNaN(t) ? 0 : 1), 0) < wroteHours) return []
  return [
    {
      key: `silent ${place.id} ${house.dateOf(measuredAtMs)}`,
      kind: 'silent',
      on: house.today,
      title: told('alarms.silentTitle', { place: place.name.toLowerCase() }),
      says: told('alarms.silent', { hours: Math.round(stillFor) }),
      todo: told('alarms.silentTodo'),
      place,
      codes: [],
    },
  ]
}

function freezerWarm(house: House, place: PlaceState): Alarm[] {
  if (place.kind !== 'freezer' || place.measuredAtMs === null || place.within !== null) return []
  if (house.nowMs - place.measuredAtMs > silentHours * hourMs) return []
  const last = place.past.temperatureC.subarray(Math.max(0, place.past.hours - freezerWatch))
  const warm = last.reduce((n, t) => n + (t > freezerWarmC ? 1 : 0), 0)
  if (warm < freezerHours) return []
  const here = house.places.filter(({ id, within }) => id === place.id || within === place.id)
  const codes = codesOf(here.flatMap((one) => lotsIn(house, one)))
  return [
    {
      key: `freezer-warm ${place.id} ${house.today}`,
      kind: 'freezer-warm',
      on: house.today,
      title: told('alarms.warmTitle', { place: place.name }),
      says: told('alarms.warm', {
        limit: degrees(freezerWarmC, 1),
        hours: warm,
        of: freezerWatch,
        warmest: degrees(Math.max(...last), 1),
      }),
      todo: told('alarms.warmTodo'),
      place,
      codes,
    },
  ]
}

/** A look that found more than was thought: the date it is good to has come much nearer. */
function turnedWorse(house: House, lot: LotState): Alarm[] {
  if (lot.stage !== 'stored' || troubleOf(house, lot)) return []
  const { history } = lot
  const beganMs = history.storedAtMs ?? history.broughtAtMs
  const looks = history.checks.filter(({ atMs }) => atMs >= beganMs)
  const lastLook = looks.at(-1)
  if (!lastLook || house.nowMs - lastLook.atMs > worseFor * dayMs || lastLook.bad === 0) return []
  const keeping = keepingOf(house, lot)
  const { model, lossPct, spread } = keeping
  const before = looks.slice(0, -1).map(({ atMs, lookedAt, bad }) => ({ day: (atMs - beganMs) / dayMs, lookedAt, bad }))
  const day = (lastLook.atMs - beganMs) / dayMs
  const thought = keepingForecast(model, lossPct, day, beliefAfterChecks(model, before, day, spread), spread)
  const was = keepingDate(house, keeping, thought.nineInTenDay.p50)
  const now = keepingDate(house, keeping, keeping.until.p50)
  const left = daysBetween(house.dateOf(lastLook.atMs), was)
  const nearer = daysBetween(now, was)
  if (nearer < worseDays || nearer < worseShare * left) return []
  return [
    {
      key: `worse ${lot.code} ${looks.length}`,
      kind: 'worse',
      on: house.today,
      title: told('alarms.worseTitle', {
        crop: lot.history.named ? lot.cropData.name : term(lot.cropData.name),
        code: lot.code,
      }),
      says: told('alarms.worse', {
        on: onDay(house.dateOf(lastLook.atMs)),
        bad: lastLook.bad,
        lookedAt: lastLook.lookedAt,
        now: onDay(now),
        was: onDay(was),
      }),
      todo: told('alarms.worseTodo'),
      place: house.place(lot.placeId),
      codes: [lot.code],
    },
  ]
}
