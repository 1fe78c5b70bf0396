/** What a lot lies or hangs in. */
export const packings = {
  net: 'net',
  sack: 'paper or hessian sack',
  box: 'open box',
  plait: 'plait',
  bare: 'bare, not touching',
  'damp-sand': 'damp sand or sawdust',
  bag: 'perforated bag',
  jar: 'airtight jar',
  vacuum: 'vacuum bag',
  mould: 'mould, then bag',
} as const

export type Packing = keyof typeof packings

/** What a crop asks of its place besides air. */
export type PlaceNeed = 'dark' | 'apart' | 'airy'
