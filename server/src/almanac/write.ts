import type { Choice, Override, OwnCrop, VarietyKeeps } from '@vadose/contract/almanac'
import { cropFileById, cropFiles, cropSchema, settables, withOverrides, type CropData } from '@vadose/core/almanac'
import { varietyKey } from '@vadose/core/checks'
import { cropIn } from '@vadose/core/forecast'
import { term, told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Client } from '../database'
import { checker } from '../validate'
import { almanacOf } from './household-almanac'
import {
  addOwnCrop,
  clearOverride,
  cropInUse,
  ownCropsOf,
  removeOwnCrop,
  sayVariety,
  setChoice,
  setOverride,
  unsayVariety,
} from './queries'

const checkFile = checker<CropData>(cropSchema)

const mostOwnCrops = 200

export async function writeOverride(db: Client, householdId: string, { crop, path, value, why = '' }: Override) {
  const file = await fileOf(db, householdId, crop)
  if (!settables(file).some((s) => s.path === path)) {
    throw new Refusal('invalid', told('almanac.noNumberAt', { crop: term(file.name), path }), 'path')
  }
  if (value === null) return clearOverride(db, householdId, crop, path)
  // the whole file must still hold with the number in it
  const number = value as number | [number, number]
  requireFile(withOverrides(file, [{ crop, path, value: number, why }]), file.name)
  return setOverride(db, householdId, { crop, path, value: number, why: why.trim() })
}

export async function writeChoice(db: Client, householdId: string, { crop, topic, choice }: Choice) {
  const found = cropIn(await almanacOf(db, householdId), crop).schools.find((s) => s.topic === topic)
  if (!found) throw new Refusal('invalid', told('almanac.noQuestion', { topic }), 'topic')
  if (!found.choices.some((c) => c.id === choice)) {
    throw new Refusal(
      'invalid',
      told('almanac.noSchool', { choice, known: found.choices.map((c) => c.id).join(', ') }),
      'choice',
    )
  }
  return setChoice(db, householdId, crop, topic, choice)
}

/** What a variety of a crop is said to be among the rest of it; `usual` takes back what was said. */
export async function writeVariety(db: Client, householdId: string, { crop, variety, keeps }: VarietyKeeps) {
  cropIn(await almanacOf(db, householdId), crop)
  const key = varietyKey(variety)
  if (!key) throw new Refusal('invalid', told('almanac.varietyUnnamed'), 'variety')
  return keeps === 'usual' ? unsayVariety(db, householdId, crop, key) : sayVariety(db, householdId, crop, key, keeps)
}

/** @returns the new crop's id */
export async function writeOwnCrop(db: Client, householdId: string, wanted: OwnCrop): Promise<string> {
  const own = await ownCropsOf(db, householdId)
  if (own.length >= mostOwnCrops) throw new Refusal('invalid', told('almanac.tooManyOwnCrops', { mostOwnCrops }))
  const template = await fileOf(db, householdId, wanted.template)
  const name = wanted.name.trim()
  const taken = new Set([...cropFiles, ...own].map((c) => c.id))
  if ([...cropFiles, ...own].some((c) => c.name.toLowerCase() === name.toLowerCase())) {
    throw new Refusal('taken', told('almanac.cropThereAlready', { name }), 'name')
  }
  const data: CropData = {
    ...structuredClone(template),
    id: freeId(name, taken),
    name,
    plural: name.toLowerCase(),
    synonyms: wanted.synonyms ?? [],
  }
  requireFile(data, name)
  await addOwnCrop(db, householdId, data)
  return data.id
}

export async function dropOwnCrop(db: Client, householdId: string, crop: string) {
  if (!(await ownCropsOf(db, householdId)).some((c) => c.id === crop)) {
    throw new Refusal('not-found', told('almanac.noOwnCrop'))
  }
  if (await cropInUse(db, householdId, crop)) {
    throw new Refusal('in-use', told('almanac.cropInUse'))
  }
  return removeOwnCrop(db, householdId, crop)
}

async function fileOf(db: Client, householdId: string, crop: string): Promise<CropData> {
  const file = cropFileById(crop) ?? (await ownCropsOf(db, householdId)).find((c) => c.id === crop)
  if (!file) throw new Refusal('unknown-crop', told('almanac.noCrop', { crop }), 'crop')
  return file
}

/** The schema's words name a path inside the file; a person wants to hear which number is beyond what can be. */
function requireFile(data: CropData, name: string): void {
  try {
    checkFile(data)
  } catch (error) {
    if (!(error instanceof Refusal)) throw error
    throw new Refusal('invalid', told('almanac.badValue', { name, why: error.says }), 'value')
  }
}

function freeId(name: string, taken: Set<string>): string {
  const base =
    `own-${name}`
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 50) || 'own'
  for (let i = 1; ; i++) {
    const id = i === 1 ? base : `${base}-${i}`
    if (!taken.has(id)) return id
  }
}
