import { kilos, term, told, type Message } from '../message'
import { requireWithin } from '../refusal'
import { type GlutPlan } from './glut'
import { bagMinutes, handlingMinutes, stoveShare, tapC, trayMinutes } from '../assumptions'

/** Heat of water, kJ/(kg·K). @source textbook value */
const waterHeatKJ = 4.186

/**
 * Minutes until a pan of water boils.
 * @param litres L, 1…100
 * @param stoveKW power of the plate, 0.5…8 kW
 * @param altitudeM m above the sea: it boils 1 °C cooler for each 300 m
 * @throws Refusal `out-of-range`
 * @source energy balance: m · c · ΔT = share · P · t
 */
export function boilMinutes(litres: number, stoveKW: number, altitudeM = 0): number {
  requireWithin(litres, 1, 100, 'panLitres', 'L')
  requireWithin(stoveKW, 0.5, 8, 'stoveKW', 'kW')
  const boilsAtC = 100 - Math.max(0, altitudeM) / 300
  return (litres * waterHeatKJ * (boilsAtC - tapC)) / (stoveKW * stoveShare) / 60
}

export type Lane = 'hands' | 'pan' | 'water' | 'trays'

/** Something that goes on in a lane of the evening, minutes from its beginning. */
export interface Note {
  lane: Lane
  from: number
  to: number
  batch: number
  crop: string
  kg: number
}

/** One thing to do, in its time: what the kitchen says next. */
export interface Act {
  at: number
  what: 'water-on' | 'prepare' | 'into-pan' | 'out-of-pan' | 'spread' | 'water-off' | 'bag'
  batch: number | null
  crop: string | null
  kg: number
  /** how long it lasts before the next thing of that batch */
  minutes: number
}

export interface Score {
  notes: Note[]
  acts: Act[]
  waterOn: number | null
  boils: number | null
  waterOff: number | null
  /** kg in the freezer that are not frozen yet, as they are put in */
  freezer: { at: number; kg: number }[]
  /** the longest time with nothing to do, where there is one of a quarter of an hour or more */
  idle: { from: number; to: number } | null
  ends: number
}

const half = handlingMinutes / 2

/**
 * An evening of a plan as a score: who does what when, batch by batch.
 * @param batches of one evening, in the order of the plan
 * @param inHours when the evening begins, hours from now as in the plan
 * @param boilsAfter minutes until the pan boils
 */
export function scoreOf(batches: GlutPlan['batches'], inHours: number, boilsAfter: number): Score {
  const notes: Note[] = []
  const acts: Act[] = []
  const freezer: Score['freezer'] = []
  let load = 0
  let boils: number | null = null
  let waterOff: number | null = null
  batches.forEach((b, i) => {
    const at = Math.round((b.startInHours - inHours) * 60)
    const batch = i + 1
    const { crop, kg } = b
    const note = (lane: Lane, from: number, to: number) => notes.push({ lane, from, to, batch, crop, kg })
    const act = (when: number, what: Act['what'], minutes: number) =>
      acts.push({ at: when, what, batch, crop, kg, minutes })
    let spread = at + b.minutes
    if (b.blanchMinutes > 0) {
      const into = at + half
      const out = into + 1 + b.blanchMinutes
      boils ??= into
      waterOff = out
      note('hands', at, into)
      note('pan', into, out)
      note('water', out, out + b.blanchMinutes)
      note('hands', out, out + half)
      act(at, 'prepare', half)
      act(into, 'into-pan', b.blanchMinutes + 1)
      act(out, 'out-of-pan', b.blanchMinutes)
      spread = out + b.blanchMinutes
      act(spread, 'spread', half)
    } else {
      note('hands', at, at + b.minutes)
      act(at, 'prepare', b.minutes)
      act(spread, 'spread', 1)
    }
    note('trays', spread, spread + trayMinutes)
    load += kg
    freezer.push({ at: spread, kg: load })
    act(spread + trayMinutes, 'bag', bagMinutes)
  })
  const waterOn = boils === null ? null : Math.max(0, boils - Math.ceil(boilsAfter))
  if (waterOn !== null)
    acts.push({ at: waterOn, what: 'water-on', batch: null, crop: null, kg: 0, minutes: boils! - waterOn })
  if (waterOff !== null) acts.push({ at: waterOff, what: 'water-off', batch: null, crop: null, kg: 0, minutes: 0 })
  const order: Record<Act['what'], number> = {
    'water-on': 0,
    'out-of-pan': 1,
    'into-pan': 2,
    spread: 3,
    prepare: 4,
    'water-off': 5,
    bag: 6,
  }
  acts.sort((a, b) => a.at - b.at || order[a.what] - order[b.what])
  const ends = Math.max(0, ...notes.map(({ to }) => to))
  return { notes, acts, waterOn, boils, waterOff, freezer, idle: idleOf(notes, acts), ends }
}

/** The longest stretch without anything for the hands, between the first and the last thing they do. */
function idleOf(notes: readonly Note[], acts: readonly Act[]): Score['idle'] {
  const busy = [
    ...notes.filter(({ lane }) => lane === 'hands').map(({ from, to }) => ({ from, to })),
    ...acts.filter(({ what }) => what === 'bag').map(({ at, minutes }) => ({ from: at, to: at + minutes })),
  ].sort((a, b) => a.from - b.from)
  let longest: Score['idle'] = null
  let until = busy[0]?.to ?? 0
  for (const { from, to } of busy) {
    if (from - until >= 15 && (!longest || from - until > longest.to - longest.from))
      longest = { from: until, to: from }
    until = Math.max(until, to)
  }
  return longest
}

/**
 * The half hour with the most to do: the most begins and ends of what goes through hands and pan, the first of several.
 * @returns minutes from the beginning; null for an evening that is no longer than that
 */
export function busiestOf(
  { acts, ends }: Pick<Score, 'acts' | 'ends'>,
  length = 30,
): { from: number; to: number } | null {
  if (ends <= length) return null
  const hands = acts.filter(({ what }) => what !== 'water-on' && what !== 'water-off')
  let best: { from: number; count: number } | null = null
  for (const { at } of hands) {
    const count = hands.filter((act) => act.at >= at && act.at < at + length).length
    if (!best || count > best.count) best = { from: at, count }
  }
  return best && { from: best.from, to: best.from + length }
}

/**
 * What is left of an evening when something takes longer: everything from a minute on comes so much later.
 * @param from minutes; what began before stays
 */
export const delayed = (acts: readonly Act[], from: number, by: number): Act[] =>
  acts.map((act) => (act.at >= from ? { ...act, at: act.at + by } : act))

/** What somebody in the kitchen is told to do. */
export function actSays({ what, kg, minutes, batch }: Act, crop: string | null): Message {
  const of = { weight: kilos(1000 * kg), crop: crop === null ? null : term(crop) }
  switch (what) {
    case 'water-on':
      return told('kitchen.actWaterOn')
    case 'prepare':
      return told('kitchen.actPrepare', { batch, weight: of.weight, crop: of.crop })
    case 'into-pan':
      return told('kitchen.actIntoPan', { batch, weight: of.weight, crop: of.crop, minutes: Math.round(minutes - 1) })
    case 'out-of-pan':
      return told('kitchen.actOutOfPan', { batch, minutes: Math.round(minutes) })
    case 'spread':
      return told('kitchen.actSpread', { batch, drained: minutes > 1 ? 'yes' : 'no' })
    case 'water-off':
      return told('kitchen.actWaterOff')
    case 'bag':
      return told('kitchen.actBag', { batch })
  }
}
