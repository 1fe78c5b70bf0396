import { habits } from './habits'
import { Unknown } from 'typebox'
import { bedSigns, growsIn } from './beds'
import { endpoint, ofHousehold } from './endpoint'
import { allViews, householdSummary, language } from './households'
import { described, placeKindIds } from './places'
import { columnMapping } from './readings'
import {
  between,
  bool,
  civilDate,
  closed,
  either,
  instant,
  just,
  listOf,
  nullable,
  number,
  oneOf,
  optional,
  relativeHumidityPct,
  rainMm,
  saying,
  temperatureC,
  textUpTo,
  uuid,
  whole,
  words,
  type Static,
} from './shapes'

const most = { maxItems: 600_000 }
const details = Unknown()

/**
 * Everything of one household in one open file. Weights in g, temperatures in °C, humidity in %, rain in mm, instants in
 * UTC; ids hold within the file. What is worked out from these is not in it.
 */
export const householdFile = closed({
  format: just('vadose-household'),
  version: whole(1, 1),
  household: closed({
    name: saying(60),
    timeZone: saying(60),
    latitudeDeg: between(-66, 66),
    altitudeM: between(-100, 3000),
    /** MM-DD */
    seasonStart: textUpTo(5),
    units: oneOf('metric', 'us'),
    /** missing in files of before there was a choice */
    language: optional(language),
    /** missing in files of before there were any */
    habits: optional(habits),
    authority: closed({ name: nullable(textUpTo(120)), url: nullable(textUpTo(300)) }),
    /** its practice clock; null where it lives by the real one */
    practiceNow: nullable(instant),
  }),
  almanac: closed({
    numbers: listOf(
      closed({
        crop: words,
        path: textUpTo(120),
        value: either([number, listOf(number, { maxItems: 2 })]),
        why: textUpTo(300),
        setAt: instant,
      }),
    ),
    choices: listOf(closed({ crop: words, topic: textUpTo(60), choice: textUpTo(60) })),
    own: listOf(closed({ id: words, data: details })),
    varieties: optional(listOf(closed({ crop: words, variety: saying(60), keeps: oneOf('shorter', 'longer') }))),
  }),
  places: listOf(
    closed({
      id: uuid,
      name: saying(40),
      kind: oneOf(...placeKindIds),
      walk: number,
      simulated: bool,
      within: optional(nullable(uuid)),
      retiredOn: optional(nullable(civilDate)),
      ...described,
    }),
    most,
  ),
  harvests: listOf(
    closed({
      id: uuid,
      crop: words,
      variety: nullable(words),
      bed: nullable(words),
      harvestedOn: civilDate,
      totalG: number,
      signShare: nullable(number),
      bedMarked: bool,
      recordedAt: instant,
    }),
    most,
  ),
  lots: listOf(
    closed({
      id: uuid,
      code: words,
      crop: words,
      heap: words,
      fate: words,
      harvest: nullable(uuid),
      splitFrom: nullable(uuid),
      broughtOn: civilDate,
      /** files of a time before lots had their own go by their harvest's */
      variety: optional(nullable(words)),
      bed: optional(nullable(words)),
      bedMarked: optional(bool),
      /** a JPEG in base64 */
      picture: nullable(words),
    }),
    most,
  ),
  /** The ledger, in the order it was written; `n` counts from 1, and is what a striking entry names. */
  events: listOf(
    closed({
      n: whole(1, 600_000),
      lot: uuid,
      kind: words,
      at: instant,
      recordedAt: instant,
      weightG: number,
      pieces: number,
      place: nullable(uuid),
      /** entries of one act have the number of its first; none where that is not known */
      act: optional(nullable(whole(1, 600_000))),
      details,
    }),
    most,
  ),
  /** What was seen and done at the beds; files of a time before have none. */
  beds: optional(
    listOf(
      closed({
        id: uuid,
        on: civilDate,
        crop: words,
        variety: nullable(words),
        bed: words,
        growsIn: oneOf(...growsIn),
        what: oneOf(...bedSigns),
        value: nullable(number),
        pieces: nullable(number),
        weightG: nullable(number),
        /** kept, and not counted */
        struck: bool,
        recordedAt: instant,
      }),
      most,
    ),
  ),
  /** alarms that are not to ring again, by what they are about */
  muted: optional(listOf(closed({ key: textUpTo(400), mutedAt: instant }), most)),
  /** Counts of the shelves, what each line said, and why it was off; files of a time before have none. */
  counts: optional(
    listOf(
      closed({
        id: uuid,
        begunAt: instant,
        finishedAt: nullable(instant),
        lines: listOf(
          closed({
            lot: uuid,
            expectedG: number,
            expectedPieces: nullable(number),
            thereG: nullable(number),
            therePieces: nullable(number),
            typed: words,
            countedAt: instant,
            cause: nullable(words),
          }),
          most,
        ),
      }),
      most,
    ),
  ),
  imports: listOf(
    closed({
      id: uuid,
      place: uuid,
      fileName: words,
      given: number,
      added: number,
      first: instant,
      last: instant,
      madeAt: instant,
      undoneAt: nullable(instant),
    }),
    most,
  ),
  mappings: listOf(closed({ headings: words, mapping: columnMapping })),
  /** Sensors without their tokens: a real one is given another where the file is brought in. */
  sensors: listOf(closed({ id: uuid, place: uuid, name: words, simulated: bool, lastAt: nullable(instant) })),
  /** Air by place and source, columns of equal length. */
  readings: listOf(
    closed({
      place: uuid,
      source: oneOf('hand', 'sensor', 'import', 'simulated', 'forecast'),
      import: nullable(uuid),
      /** kept, and not counted */
      struck: optional(bool),
      /** seconds since 1970 UTC */
      at: listOf(whole(-2_208_988_800, 4_102_444_800), { maxItems: 6_000_000 }),
      temperatureC: listOf(temperatureC, { maxItems: 6_000_000 }),
      relativeHumidityPct: listOf(relativeHumidityPct, { maxItems: 6_000_000 }),
      rainMm: nullable(listOf(nullable(rainMm), { maxItems: 6_000_000 })),
    }),
  ),
})
export type HouseholdFile = Static<typeof householdFile>

export const exportHousehold = ofHousehold('household-file', {
  method: 'GET',
  path: '/file',
  says: 'Everything of the household in one open file, with its canonical SHA-256 in the header X-Content-SHA256.',
  answer: { file: 'application/json' },
  aside: true,
})

export const importHousehold = endpoint('bring-household', {
  method: 'POST',
  path: '/household-files',
  says: 'A household from its file, under an address of its own.',
  body: householdFile,
  answer: householdSummary,
  status: 201,
  limit: '256mb',
  aside: true,
  stale: ['households', ...allViews],
})
