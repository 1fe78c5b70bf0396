import { told, type Message } from '../message'

/** The ways keeping ends. */
export const ends = [
  'sprouting',
  'drying out',
  'rot',
  'rooting',
  'mould',
  'frost',
  'chilling',
  'greening',
  'ethylene',
  'early rot',
] as const
export type End = (typeof ends)[number]

/** What ends it, as people call it: what does not breathe does not rot, it grows old. */
export type EndWord = End | 'age'
export const endSaid = (end: EndWord): Message => told('stores.end', { end })
