/** What a fault looks like, drawn: a few kinds of sign that faults share. */
export type Sign =
  | 'soft'
  | 'fur'
  | 'sprout'
  | 'roots'
  | 'shrivelled'
  | 'green'
  | 'spots'
  | 'holes'
  | 'light'
  | 'cold'
  | 'leak'
  | 'faded'
  | 'ripe'

const bySign: [RegExp, Sign][] = [
  [/jar-seal|jar-spoilt|jar-beads/, 'leak'],
  [/green/, 'green'],
  [/sprout|shoots/, 'sprout'],
  [/rooting/, 'roots'],
  [/weevil|holes|fly/, 'holes'],
  [/light/, 'light'],
  [/frozen|chilled|freezer|thawed/, 'cold'],
  [/mould|fur|cotton|grey|blue|whisker|rust|white-rot/, 'fur'],
  [/shrivel|limp|wilted|stringy|mealy/, 'shrivelled'],
  [/spots|scab|pits|scald|canker|black|blight|dry-rot|bitter/, 'spots'],
  [/soft|wet|rot|slime|long|brine/, 'soft'],
  [/yellow|faded|rancid/, 'faded'],
  [/ripened/, 'ripe'],
]

/** The sign a fault is drawn with; something soft where none is known. */
export const signOf = (fault: string): Sign => bySign.find(([ids]) => ids.test(fault))?.[1] ?? 'soft'

/** Paths on a field of 48 by 48: the outline of the piece, what is filled, what is drawn fine. */
export const drawings: Record<Sign, { piece: string; filled?: string; fine?: string }> = {
  soft: {
    piece: 'M24 8c9 0 15 7 15 16 0 8-3 12-7 14 0 4-12 5-15 1-5-1-8-7-8-15C9 15 15 8 24 8z',
    filled: 'M26 22c6-2 11 1 11 5s-3 9-8 9-9-3-9-7 2-6 6-7z',
    fine: 'M33 38c1 3 0 5-1 6M20 40c0 2-1 4-2 5',
  },
  fur: {
    piece: 'M24 9c9 0 15 7 15 16s-6 15-15 15S9 34 9 25 15 9 24 9z',
    filled: 'M20 12c5-3 12-1 14 4s-1 9-6 10-11-1-12-6 1-6 4-8z',
    fine: 'M18 11l-3-5M23 9l0-6M29 9l3-6M34 13l5-4M36 19l6-1M15 17l-6-2M16 23l-6 2',
  },
  sprout: {
    piece: 'M24 18c8 0 13 5 13 12s-5 12-13 12-13-5-13-12 5-12 13-12z',
    filled: 'M24 18c-1-6-5-9-9-9 0 5 3 9 9 9zM24 18c1-8 5-12 10-13 1 7-3 12-10 13z',
    fine: 'M24 20v-9',
  },
  roots: {
    piece: 'M24 6c8 0 13 5 13 12s-5 12-13 12-13-5-13-12S16 6 24 6z',
    fine: 'M24 30v13M19 29c-1 5-4 7-7 9M29 29c1 5 4 7 7 9M21 30c0 6-2 9-4 12M27 30c0 6 2 9 4 12',
  },
  shrivelled: {
    piece: 'M24 9c7 1 12 4 13 10 3 4 0 8 1 12-3 6-9 8-14 8s-11-2-13-8c2-4-2-8 0-12 1-6 6-9 13-10z',
    fine: 'M15 20c4 2 6-1 9 1s6 0 9 1M15 28c4-2 7 2 10 0s5 1 8-1M19 14c3 2 6 0 10 1M20 35c3-2 6 0 8-1',
  },
  green: {
    piece: 'M24 11c10 0 16 5 16 13s-6 14-16 14S8 32 8 24s6-13 16-13z',
    filled: 'M24 11c10 0 16 5 16 13 0 3-1 6-3 8-6-4-20-6-26-12 2-6 7-9 13-9z',
    fine: 'M36 6l3-3M40 10l4-1M31 5l1-4',
  },
  spots: {
    piece: 'M24 9c9 0 15 7 15 16s-6 15-15 15S9 34 9 25 15 9 24 9z',
    filled:
      'M19 17a3.500 3 0 1 0 .1 0zM30 20a4 4.500 0 1 0 .1 0zM20 29a4 3.500 0 1 0 .1 0zM31 32a2.500 2.500 0 1 0 .1 0zM25 14a2 2 0 1 0 .1 0z',
  },
  holes: {
    piece: 'M24 9c9 0 15 7 15 16s-6 15-15 15S9 34 9 25 15 9 24 9z',
    filled: 'M18 18a2.500 2.500 0 1 0 .1 0zM31 27a3 3 0 1 0 .1 0z',
    fine: 'M18 20c4 4 2 8 6 10s4 4 7 0M36 12l4-3M38 16l5 0M36 12c-2-1-3-3-2-5',
  },
  light: {
    piece: 'M24 11c9 0 15 6 15 14s-6 14-15 14S9 33 9 25s6-14 15-14z',
    fine: 'M24 34V20M19 25l5-5 5 5M15 44h18',
  },
  cold: {
    piece: 'M24 9c9 0 15 7 15 16s-6 15-15 15S9 34 9 25 15 9 24 9z',
    fine: 'M24 15v20M16 20l16 10M32 20l-16 10M21 17l3 3 3-3M21 33l3-3 3 3',
  },
  leak: {
    piece: 'M14 12h20v6c3 1 4 3 4 6v14c0 3-2 4-4 4H14c-2 0-4-1-4-4V24c0-3 1-5 4-6z',
    filled: 'M12 30h24v8c0 2-1 3-2 3H14c-1 0-2-1-2-3z',
    fine: 'M12 8c5-4 18-4 24 1M40 28c2 3 3 5 2 7s-4 1-4-1 1-4 2-6z',
  },
  faded: {
    piece: 'M24 9c9 0 15 7 15 16s-6 15-15 15S9 34 9 25 15 9 24 9z',
    fine: 'M14 20h8M26 20h8M13 26h5M22 26h6M32 26h3M15 32h7M27 32h6',
  },
  ripe: {
    piece: 'M24 12c9 0 15 6 15 14s-6 14-15 14S9 34 9 26s6-14 15-14z',
    filled: 'M24 12c9 0 15 6 15 14 0 5-2 9-6 12-3-8-12-12-22-14 2-7 7-12 13-12z',
    fine: 'M24 12c0-3 2-6 5-7M24 12c-2-2-5-3-8-2',
  },
}

/** Cautions that belong before the look itself: what must not be eaten, tasted or kept, whatever else is found. */
const first = [
  'jars',
  'thaw',
  'green-potato',
  'bitter-squash',
  'sweet-potato-black',
  'nuts-mould',
  'mould-soft',
  'kernels',
  'garlic-oil',
] as const

/** At most two, the gravest first. */
export const cautionsFirst = <T extends { id: string }>(cautions: readonly T[]): T[] =>
  first.flatMap((id) => cautions.filter((caution) => caution.id === id)).slice(0, 2)
