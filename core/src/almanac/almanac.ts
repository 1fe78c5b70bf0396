import { habitsWith, type Habits } from './habits'
import { term, told } from '../message'
import { Refusal } from '../refusal'
import type { Crop, CropData } from './crop'
import { cropFiles } from './files'
import { pantry } from './goods'
import { resolveCrop } from './resolve'

/** What a household has changed in the almanac. */
export interface AlmanacChanges {
  /** numbers it knows better: crop, path of the number (`keeping/largestLossPct`), its value, and why */
  overrides: { crop: string; path: string; value: number | [number, number]; why: string }[]
  /** the school it follows, by crop and topic */
  choices: { crop: string; topic: string; choice: string }[]
  /** crops of its own */
  own: CropData[]
  /** what it says of a variety: it keeps shorter or longer than its crop usually does */
  varieties: VarietySaid[]
  /** what it does in its own way */
  habits: Partial<Habits>
}

export interface VarietySaid {
  crop: string
  variety: string
  keeps: 'shorter' | 'longer'
}

export const noChanges: AlmanacChanges = { overrides: [], choices: [], own: [], varieties: [], habits: {} }

/** A number of a crop's file that a household may set, found by walking the file. */
export interface Settable {
  path: string
  value: number | [number, number]
  source: string
}

const isNumberOrPair = (value: unknown): value is number | [number, number] =>
  typeof value === 'number' || (Array.isArray(value) && value.length === 2 && value.every((v) => typeof v === 'number'))

/** Every {value, source} of the file whose value is a number or a from–to pair. */
export function settables(data: CropData): Settable[] {
  const found: Settable[] = []
  const walk = (node: unknown, path: string) => {
    if (typeof node !== 'object' || node === null) return
    if ('value' in node && 'source' in node) {
      if (isNumberOrPair(node.value)) found.push({ path, value: node.value, source: String(node.source) })
      return
    }
    for (const [key, child] of Object.entries(node)) walk(child, path ? `${path}/${key}` : key)
  }
  walk(data, '')
  return found
}

/**
 * A crop's file with the household's numbers put in, marked as the household's.
 * @throws Refusal `invalid` when the path is no number of this crop or the value has another shape
 */
export function withOverrides(data: CropData, overrides: AlmanacChanges['overrides']): CropData {
  if (overrides.length === 0) return data
  const copy = structuredClone(data)
  for (const { path, value } of overrides) {
    const steps = path.split('/')
    let node: Record<string, unknown> | undefined = copy as unknown as Record<string, unknown>
    for (const step of steps)
      node = Object.hasOwn(node ?? {}, step) ? (node![step] as Record<string, unknown>) : undefined
    if (!node || typeof node !== 'object' || !('source' in node) || !isNumberOrPair(node['value'])) {
      throw new Refusal('invalid', told('almanac.noNumberAt', { crop: term(data.name), path }), 'path')
    }
    if (Array.isArray(node['value']) !== Array.isArray(value)) {
      throw new Refusal(
        'invalid',
        Array.isArray(value) ? told('almanac.oneNumber') : told('almanac.twoNumbers'),
        'value',
      )
    }
    if (Array.isArray(value) && value[0] > value[1]) {
      throw new Refusal('invalid', told('almanac.fromAboveTo'), 'value')
    }
    node['value'] = value
    node['source'] = 'household'
  }
  return copy
}

/** The almanac as one household has it. */
export interface Almanac {
  crops: readonly Crop[]
  byId: ReadonlyMap<string, Crop>
  changes: AlmanacChanges
  habits: Habits
}

/** The almanac as it ships with a household's changes on top. */
export function almanacWith(changes: AlmanacChanges): Almanac {
  const overrides = new Map<string, AlmanacChanges['overrides']>()
  for (const one of changes.overrides) overrides.set(one.crop, [...(overrides.get(one.crop) ?? []), one])
  const { bearableLoss } = changes.habits
  const crops = [...cropFiles, ...changes.own].map((data) => {
    const crop = resolveCrop(withOverrides(data, overrides.get(data.id) ?? []))
    return bearableLoss === undefined ? crop : { ...crop, keeping: { ...crop.keeping, bearableLoss } }
  })
  return {
    crops,
    byId: new Map([...crops, pantry].map((crop) => [crop.id, crop])),
    changes,
    habits: habitsWith(changes.habits),
  }
}

/** The school a household follows for a topic of a crop. */
export const choiceOf = (almanac: Almanac, crop: Crop, topic: string): string | undefined =>
  almanac.changes.choices.find((c) => c.crop === crop.id && c.topic === topic)?.choice ??
  crop.schools.find((s) => s.topic === topic)?.usual
