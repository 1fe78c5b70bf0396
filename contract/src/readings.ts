import { endpoint, ofHousehold } from './endpoint'
import { airViews } from './households'
import {
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
  rainMm,
  relativeHumidityPct,
  requestId,
  saying,
  temperatureC,
  textUpTo,
  uuid,
  whole,
  words,
  type Static,
} from './shapes'

const column = whole(0, 200)
export const columnMapping = closed({
  time: column,
  clock: optional(column),
  order: oneOf('year-first', 'day-first', 'month-first', 'seconds', 'milliseconds'),
  zone: saying(60),
  temperature: column,
  unit: oneOf('C', 'F'),
  humidity: column,
  share: optional(bool),
  rain: optional(column),
})

const maxItems = 600_000

/** A logger's file, read: columns of equal length, rising in time. */
export const newReadingImport = closed({
  requestId,
  placeId: uuid,
  fileName: saying(200),
  /** seconds since 1970 UTC */
  at: listOf(whole(0, 4_102_444_800), { minItems: 1, maxItems }),
  temperatureC: listOf(temperatureC, { maxItems }),
  relativeHumidityPct: listOf(relativeHumidityPct, { maxItems }),
  rainMm: optional(listOf(rainMm, { maxItems })),
  /** headings of the file and how they were read, to be known again */
  headings: optional(textUpTo(2000)),
  mapping: optional(columnMapping),
  /** only say what it would add */
  lookOnly: optional(bool),
})
export type NewReadingImport = Static<typeof newReadingImport>

export const readingImportAnswer = closed({ id: uuid, given: number, added: number })
export type ReadingImportAnswer = Static<typeof readingImportAnswer>

export const readingImportView = closed({
  id: uuid,
  place: words,
  fileName: words,
  given: number,
  added: number,
  from: instant,
  to: instant,
  undone: bool,
})
export type ReadingImportView = Static<typeof readingImportView>

export const knownMapping = closed({ headings: words, mapping: columnMapping })
export type KnownMapping = Static<typeof knownMapping>

/** A sensor's batch: any order, sent again as often as it likes. */
export const sensorBatch = closed({
  readings: listOf(closed({ at: instant, temperatureC, relativeHumidityPct, rainMm: optional(rainMm) }), {
    minItems: 1,
    maxItems: 5000,
  }),
})
export type SensorBatch = Static<typeof sensorBatch>

export const sensorBatchAnswer = closed({ taken: number, already: number })
export type SensorBatchAnswer = Static<typeof sensorBatchAnswer>

export const newSensor = closed({ name: saying(40), placeId: uuid })
export type NewSensor = Static<typeof newSensor>

export const sensorView = closed({
  id: uuid,
  name: words,
  place: words,
  /** sends by itself, without a token */
  simulated: bool,
  lastAt: nullable(instant),
})
export type SensorView = Static<typeof sensorView>

/** The token is shown this once. */
export const sensorMade = closed({ id: uuid, token: words })
export type SensorMade = Static<typeof sensorMade>

export const listImports = ofHousehold('imports', {
  method: 'GET',
  path: '/readings/imports',
  says: 'The logger files brought in last.',
  answer: listOf(readingImportView),
})

export const listMappings = ofHousehold('mappings', {
  method: 'GET',
  path: '/readings/mappings',
  says: 'How files with known headings were read.',
  answer: listOf(knownMapping),
})

export const importReadings = ofHousehold('import-readings', {
  method: 'POST',
  path: '/readings/imports',
  says: 'A logger file’s readings, all or none; with lookOnly it says what they would add.',
  body: newReadingImport,
  answer: readingImportAnswer,
  status: 201,
  // a year of five-minute readings is 3 MB
  limit: '32mb',
  aside: true,
  stale: [...airViews, 'imports', 'mappings'],
})

export const strikeReadings = ofHousehold('strike-readings', {
  method: 'POST',
  path: '/places/:id/readings/strike',
  says: 'Strikes out what was measured in a place from one day to another, or lets it count again.',
  body: closed({ requestId, from: civilDate, to: civilDate, struck: bool }),
  answer: closed({ readings: number }),
  stale: airViews,
})

export const undoImport = ofHousehold('undo-import', {
  method: 'POST',
  path: '/readings/imports/:id/undo',
  says: 'Takes back what a file added.',
  answer: closed({ removed: number }),
  aside: true,
  stale: [...airViews, 'imports'],
})

export const listSensors = ofHousehold('sensors', {
  method: 'GET',
  path: '/sensors',
  says: 'The sensors that send readings.',
  answer: listOf(sensorView),
})

export const addSensor = ofHousehold('add-sensor', {
  method: 'POST',
  path: '/sensors',
  says: 'Lets a sensor in; its token is shown this once.',
  body: newSensor,
  answer: sensorMade,
  status: 201,
  stale: ['sensors'],
})

export const removeSensor = ofHousehold('remove-sensor', {
  method: 'DELETE',
  path: '/sensors/:id',
  says: 'Turns a sensor away; its readings stay.',
  answer: ok,
  stale: ['sensors'],
})

export const ingest = endpoint('ingest', {
  method: 'POST',
  path: '/ingest',
  says: 'A sensor’s batch. The token says whose it is: Authorization: Bearer TOKEN.',
  body: sensorBatch,
  answer: sensorBatchAnswer,
  limit: '1mb',
})
