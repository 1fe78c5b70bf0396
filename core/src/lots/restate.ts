import { told } from '../message'
import { Refusal } from '../refusal'
import type { EventKind, LotEvent, Telling } from './event'

/** What an entry says instead. Weights and pieces are what was taken, or what there was; never less than none. */
export interface Restatement {
  weightG?: number
  pieces?: number
  placeId?: string
  /** the day it happened */
  on?: string
  cause?: string
  text?: string
}

/** What of an entry can be told otherwise; any other is struck out and entered anew. */
export const restatable: Partial<Record<EventKind, readonly (keyof Restatement)[]>> = {
  'brought-in': ['weightG', 'pieces', 'placeId'],
  hung: ['placeId', 'on'],
  finished: ['weightG', 'pieces', 'placeId', 'on'],
  frozen: ['weightG', 'pieces', 'placeId', 'on'],
  added: ['weightG', 'pieces', 'placeId', 'on'],
  made: ['weightG', 'pieces', 'placeId', 'on'],
  moved: ['placeId', 'on'],
  weighed: ['weightG', 'on'],
  used: ['weightG', 'pieces', 'on'],
  given: ['weightG', 'pieces', 'on'],
  planted: ['weightG', 'pieces', 'on'],
  fed: ['weightG', 'pieces', 'on'],
  lost: ['weightG', 'pieces', 'cause', 'on'],
  checked: ['on'],
  tested: ['on'],
  noted: ['text', 'on'],
  corrected: ['weightG', 'pieces'],
}

export const takings: readonly EventKind[] = ['used', 'given', 'planted', 'lost', 'fed']
/** what these say is what the whole lot weighed then */
const wholes: readonly EventKind[] = ['weighed', 'finished', 'corrected', 'frozen', 'made']

/**
 * An entry in other words.
 * @param atMs noon of the day it happened, where another is given
 * @throws Refusal `invalid` for what cannot be said of such an entry
 */
export function restated(entry: LotEvent, what: Restatement, atMs?: number): Partial<Telling> {
  const can = restatable[entry.kind] ?? []
  for (const field of Object.keys(what) as (keyof Restatement)[]) {
    if (what[field] !== undefined && !can.includes(field)) {
      throw new Refusal('invalid', told('lots.cannotRestate'), field)
    }
  }
  const { weightG, pieces, placeId, cause, text } = what
  const details = {
    ...(['brought-in', 'added'].includes(entry.kind) && weightG !== undefined ? { guessed: 'nothing' as const } : {}),
    ...(text === undefined ? {} : { text }),
    ...(cause === undefined ? {} : { cause }),
  }
  const instead: Partial<Telling> = {
    ...(atMs === undefined ? {} : { atMs }),
    ...(placeId === undefined ? {} : { placeId }),
  }
  if (wholes.includes(entry.kind)) {
    const whole = {
      ...(weightG === undefined ? {} : { scaleG: weightG }),
      ...(pieces === undefined ? {} : { counted: pieces }),
    }
    return { ...instead, details: { ...details, ...whole } }
  }
  const taken = takings.includes(entry.kind)
  const signed = (n: number) => (taken ? 0 - n : n)
  const both = weightG !== undefined && pieces !== undefined
  // what was said now counts, the other follows from it
  const by =
    taken && !both && (weightG ?? pieces) !== undefined ? { by: pieces === undefined ? 'weight' : 'pieces' } : {}
  return {
    ...instead,
    ...(weightG === undefined ? {} : { weightG: signed(weightG) }),
    ...(pieces === undefined ? {} : { pieces: signed(pieces) }),
    details: { ...details, ...(by as Pick<Telling['details'], 'by'>) },
  }
}
