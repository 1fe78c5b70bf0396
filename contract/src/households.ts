import { endpoint, ofHousehold } from './endpoint'
import {
  between,
  bool,
  civilDate,
  closed,
  instant,
  listOf,
  nullable,
  number,
  ok,
  oneOf,
  optional,
  saying,
  textUpTo,
  words,
  type Static,
} from './shapes'

const units = oneOf('metric', 'us')
/** English as Britain or America has it; en-XA, a pseudo-language, shows what no table of words says. */
export const language = oneOf('en-GB', 'en-US', 'en-XA')
const clock = oneOf('real', 'practice')

export const newHousehold = closed({
  name: saying(60),
  clock,
  startsOn: optional(civilDate),
  timeZone: optional(textUpTo(60)),
  latitudeDeg: optional(between(-66, 66)),
  altitudeM: optional(between(-100, 3000)),
  language: optional(language),
  units: optional(units),
})
export type NewHousehold = Static<typeof newHousehold>

export const householdSummary = closed({
  id: words,
  /** its name in addresses: short, its own, the same for good */
  address: words,
  name: words,
  /** demo and practice clocks can be moved */
  clock,
})
export type HouseholdSummary = Static<typeof householdSummary>

export const moveClock = closed({ to: oneOf('next-morning', 'next-week') })
export type MoveClock = Static<typeof moveClock>

export const settings = closed({
  name: optional(saying(60)),
  units: optional(units),
  language: optional(language),
  authorityName: optional(textUpTo(120)),
  authorityUrl: optional(textUpTo(300)),
})
export type Settings = Static<typeof settings>

/** What every screen needs: who, when, and the year as a strip. */
export const frame = closed({
  household: closed({
    id: words,
    address: words,
    name: words,
    clock,
    demo: bool,
    /** IANA name */
    timeZone: words,
    units,
    language,
    altitudeM: number,
    /** whom the household asks about food safety; its own setting */
    authority: nullable(closed({ name: words, url: words })),
  }),
  now: instant,
  today: civilDate,
  year: closed({
    startsOn: civilDate,
    endsOn: civilDate,
    /** weight in the house, g, by day number from startsOn: counted up to today, forecast after */
    stock: listOf(closed({ day: number, weightG: number, forecast: bool })),
    /** days from startsOn with jobs open */
    jobDays: listOf(number),
    /** what is likely to be lifted, from one day to another by number from startsOn */
    harvests: listOf(closed({ crop: words, bed: words, from: number, to: number })),
  }),
})
export type Frame = Static<typeof frame>

export const listHouseholds = endpoint('households', {
  method: 'GET',
  path: '/households',
  says: 'The households of this server.',
  answer: listOf(householdSummary),
})

export const startHousehold = endpoint('start-household', {
  method: 'POST',
  path: '/households',
  says: 'Starts a household, with the places nearly every house has.',
  body: newHousehold,
  answer: householdSummary,
  status: 201,
  stale: ['households'],
})

export const readFrame = ofHousehold('frame', {
  method: 'GET',
  path: '/frame',
  says: 'Who, when, and the year as a strip.',
  answer: frame,
})

/** Everything that is worked out from a household's lots. */
export const lotViews = [
  'frame',
  'round',
  'alarms',
  'lots',
  'lot',
  'moved',
  'elsewhere',
  'line',
  'line-lot',
  'line-advice',
  'stores',
  'larder',
  'beds',
  'recipes',
  'freezers',
  'made-of',
  'count',
  'year',
] as const
/** Everything that is worked out from air as well. */
export const airViews = [...lotViews, 'places', 'weather', 'climate', 'thermometers', 'arrangement'] as const
export const allViews = [...airViews, 'last-harvests', 'marked-beds', 'picks', 'almanac', 'learnt'] as const

export const changeSettings = ofHousehold('settings', {
  method: 'PUT',
  path: '/settings',
  says: 'Its name, units, language, and whom it asks about food safety.',
  body: settings,
  answer: frame,
  stale: ['frame', 'households'],
})

export const removeHousehold = ofHousehold('remove-household', {
  method: 'DELETE',
  path: '',
  says: 'Removes the household with everything it has; its name, typed, is the word for it.',
  body: closed({ name: textUpTo(60) }),
  answer: ok,
  stale: ['households'],
})

export const readRequest = ofHousehold('request', {
  method: 'GET',
  path: '/requests/:id',
  says: 'Whether a write with this number arrived.',
  answer: closed({ answered: bool }),
})

export const passTime = ofHousehold('clock', {
  method: 'POST',
  path: '/clock',
  says: 'Moves a practice clock on.',
  body: moveClock,
  answer: frame,
  stale: allViews,
})
