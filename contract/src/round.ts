import { ofHousehold } from './endpoint'
import { basis, form, troubledLots, unit } from './lots'
import { weatherDay } from './places'
import {
  bool,
  civilDate,
  closed,
  listOf,
  nullable,
  number,
  ok,
  oneOf,
  optional,
  requestId,
  textUpTo,
  uuid,
  words,
  type Static,
  told,
} from './shapes'

export const jobView = closed({
  /** the same as long as the job stands */
  id: words,
  kind: oneOf(
    'weigh',
    'test',
    'take-down',
    'unstall',
    'check',
    'use',
    'read',
    'rotate',
    'turn',
    'take-out',
    'shake',
    'overdue',
    'look-bed',
    'cut-scapes',
    'lift',
    'plant',
    'seal',
    'taste',
    'mind',
  ),
  dueOn: civilDate,
  why: told,
  code: nullable(words),
  /** what stands in a bed, by its key and where */
  stand: nullable(closed({ key: words, bed: words, variety: nullable(words), growsIn: oneOf('bed', 'pot', 'roofed') })),
  crop: nullable(words),
  title: told,
  /** the scale's expectation, g, and what is weighed */
  expectedG: nullable(number),
  basis,
  /** of what has outlived its time: how many to look at to say it is fine, and what all of it weighs, g */
  overdue: nullable(closed({ lookAt: number, weightG: number })),
  /** what is to be planted: how much of it there is */
  plantG: nullable(number),
  /** what is to be used up: how much of it there is */
  useG: nullable(number),
  /** jars whose lids are pressed */
  jars: nullable(number),
})
export type JobView = Static<typeof jobView>

export const roundView = closed({
  /** lots that cannot be worked out, each with why */
  troubled: troubledLots,
  today: civilDate,
  places: listOf(
    closed({
      id: uuid,
      name: words,
      temperatureC: nullable(number),
      relativeHumidityPct: nullable(number),
      recent: listOf(number),
      verdict: closed({ suits: bool, says: told }),
      jobs: listOf(jobView),
    }),
  ),
  eatFirst: listOf(
    closed({
      code: words,
      crop: words,
      heap: words,
      weightG: number,
      pieces: nullable(number),
      form,
      name: nullable(words),
      unit: nullable(unit),
      why: told,
      urgent: bool,
    }),
  ),
  weather: listOf(weatherDay),
  weatherSays: listOf(told),
  lastWeek: closed({ broughtInG: number, usedG: number, lostG: number, waterG: number }),
  nextJobs: listOf(closed({ on: civilDate, count: number })),
})
export type RoundView = Static<typeof roundView>

export const readRound = ofHousehold('round', {
  method: 'GET',
  path: '/round',
  says: 'What needs the household today, or on a day to come (on=2026-10-02), by place in walking order.',
  query: closed({ on: optional(civilDate) }),
  answer: roundView,
})

export const alarm = closed({
  /** the same as long as it is about the same place and lots: what is muted by it stays muted */
  key: words,
  kind: oneOf('frost', 'damp', 'silent', 'freezer-warm', 'worse'),
  on: civilDate,
  title: told,
  says: told,
  /** what to do */
  todo: told,
  placeId: nullable(uuid),
  place: nullable(words),
  codes: listOf(words),
})
export type AlarmView = Static<typeof alarm>

export const readAlarms = ofHousehold('alarms', {
  method: 'GET',
  path: '/alarms',
  says: 'What cannot wait for the round: frost coming, damp for days, silent sensors, warm freezers, lots that turned.',
  answer: closed({ ringing: listOf(alarm), muted: listOf(alarm) }),
})

export const muteAlarm = ofHousehold('mute-alarm', {
  method: 'POST',
  path: '/alarms/mute',
  says: 'An alarm is not rung again for the same place and the same lots; or it is, again.',
  body: closed({ requestId, key: textUpTo(400), muted: bool }),
  answer: ok,
  status: 201,
  stale: ['alarms'],
})
