import { allInPlainWords } from '@vadose/words'
import { createHash, randomBytes, randomUUID } from 'node:crypto'
import type { HouseholdFile } from '@vadose/contract/household-file'
import { cropFiles, cropSchema, pantry, type CropData } from '@vadose/core/almanac'
import { householdAddress, isTimeZone } from '@vadose/core/households'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Client } from '../database'
import { addHousehold, allHouseholds } from '../households'
import { rebuildProjections } from '../projections'
import { addReadings, strikeThese } from '../readings'
import { checker } from '../validate'
import * as given from './file-in'
import * as rows from './file-out'

/** The file with every object's keys in order and no spaces: the same household, the same bytes. */
export const canonical = (file: unknown): string =>
  JSON.stringify(file, (_key, value: unknown) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  )
export const canonicalHash = (file: unknown): string => createHash('sha256').update(canonical(file)).digest('hex')

/** Everything of a household, as its open file has it. */
export async function householdFileOf(db: Client, id: string): Promise<HouseholdFile> {
  const events = await rows.eventRows(db, id)
  const beds = await rows.bedRows(db, id)
  const counts = await rows.countRows(db, id)
  const muted = await rows.mutedRows(db, id)
  const numberOf = new Map(events.map(({ id: own, n }) => [own, n]))
  return {
    format: 'vadose-household',
    version: 1,
    household: await rows.householdHead(db, id),
    almanac: await rows.almanacRows(db, id),
    places: await rows.placeRows(db, id),
    harvests: await rows.harvestRows(db, id),
    lots: await rows.lotRows(db, id),
    events: events.map(({ id: _, details, ...event }) => ({ ...event, details: renumbered(details, numberOf) })),
    ...(beds.length > 0 ? { beds } : {}),
    ...(counts.length > 0 ? { counts } : {}),
    ...(muted.length > 0 ? { muted } : {}),
    imports: await rows.importRows(db, id),
    mappings: await rows.mappingRows(db, id),
    sensors: await rows.sensorRows(db, id),
    readings: await rows.readingRows(db, id),
  }
}

/** An entry that strikes another names it by its number: in the file by its place there. */
function renumbered(details: unknown, numberOf: ReadonlyMap<number, number>): unknown {
  const { strikes } = (details ?? {}) as { strikes?: unknown }
  if (typeof strikes !== 'number') return details
  const number = numberOf.get(strikes)
  if (number === undefined) throw new Refusal('invalid', told('exports.strikesNothing'), 'events')
  return { ...(details as object), strikes: number }
}

const checkCrop = checker<CropData>(cropSchema)

/** A text of a crop that is a message is one the tables know: no calendar fails over it later. */
function requireWords(data: CropData): void {
  try {
    allInPlainWords(data)
  } catch {
    throw new Refusal('invalid', told('exports.cropWithoutWords', { crop: data.name }), 'almanac/own')
  }
}

/** What the schema cannot say. @throws Refusal naming the field */
function requireSense(file: HouseholdFile): void {
  const { household, almanac, events, lots, readings } = file
  if (!isTimeZone(household.timeZone)) {
    throw new Refusal('invalid', told('households.noTimeZone', { timeZone: household.timeZone }), 'household/timeZone')
  }
  for (const { data } of almanac.own) requireWords(checkCrop(data))
  const crops = new Set([pantry.id, ...cropFiles.map(({ id }) => id), ...almanac.own.map(({ id }) => id)])
  const strange = lots.find(({ crop }) => !crops.has(crop))
  if (strange)
    throw new Refusal('unknown-crop', told('exports.unknownCrop', { code: strange.code, crop: strange.crop }), 'lots')
  if (events.some(({ n }, i) => n !== i + 1)) throw new Refusal('invalid', told('exports.gapInEntries'), 'events')
  for (const { at, temperatureC, relativeHumidityPct, rainMm } of readings) {
    if ([temperatureC, relativeHumidityPct, rainMm ?? at].some((column) => column.length !== at.length)) {
      throw new Refusal('invalid', told('exports.unequalColumns'), 'readings')
    }
  }
}

/** Makes a household from its file, in its own transaction. @throws Refusal; nothing of it is there then */
export async function bringHousehold(db: Client, id: string, file: HouseholdFile) {
  requireSense(file)
  const { household } = file
  const taken = new Set((await allHouseholds(db)).map((h) => h.address))
  const address = householdAddress(household.name, taken)
  await addHousehold(db, {
    id,
    address,
    name: household.name,
    timeZone: household.timeZone,
    latitudeDeg: household.latitudeDeg,
    altitudeM: household.altitudeM,
    seasonStart: household.seasonStart,
    demo: false,
    practiceNow: household.practiceNow === null ? null : new Date(household.practiceNow),
  })
  await given.setRest(db, id, household)
  await given.addAlmanac(db, id, file.almanac)
  await given.addPlaces(db, id, file.places)
  await given.addHarvests(db, id, file.harvests)
  await given.addLots(db, id, file.lots, new Map(file.harvests.map((h) => [h.id, h])))
  await given.addPictures(db, id, file.lots)
  const idOf = new Map<number, number>()
  const acts = new Map<number, string>()
  for (const event of file.events) {
    const { act, details } = event
    if (act && !acts.has(act)) acts.set(act, randomUUID())
    const of = act ? acts.get(act)! : null
    idOf.set(event.n, await given.addEvent(db, id, event, renumbered(details, idOf), of))
  }
  await given.addBeds(db, id, file.beds ?? [])
  await given.addCounts(db, id, file.counts ?? [])
  await given.addMuted(db, id, file.muted ?? [])
  await given.addImports(db, id, file.imports)
  await given.addMappings(db, id, file.mappings)
  // nobody has the token of a real one until it is given another
  await given.addSensors(db, id, file.sensors, (simulated) => (simulated ? null : randomBytes(32)))
  for (const {
    place,
    source,
    import: importId,
    at,
    temperatureC,
    relativeHumidityPct,
    rainMm,
    struck,
  } of file.readings) {
    await addReadings(db, id, source, { placeId: place, at, temperatureC, relativeHumidityPct, rainMm }, importId)
    if (struck) await strikeThese(db, id, place, at)
  }
  await rebuildProjections(db, id)
  return { id, address, name: household.name, practising: household.practiceNow !== null }
}
