import type { LotRow } from '@vadose/contract/lots'
import { freezeWithinHours, hoursAged, type Act } from '@vadose/core/kitchen'
import { cropOf } from '../almanac'
import { householdHere } from '../call'

/** The kitchen as it is set up; kept in this browser, where the stove stands. */
export interface KitchenSetup {
  panLitres: number
  stoveKW: number
  trays: number
  kgPerTray: number
  freezerLitres: number
  /** the evening, HH:MM */
  from: string
  to: string
  evenings: number
}
export const usualKitchen: KitchenSetup = {
  panLitres: 8,
  stoveKW: 2.5,
  trays: 3,
  kgPerTray: 1.5,
  freezerLitres: 250,
  from: '18:00',
  to: '22:00',
  evenings: 1,
}
const keyOf = (what: string) => `${householdHere ?? ''}:${what}`
export const keptIn = <T>(what: string): T | undefined => {
  const text = localStorage.getItem(keyOf(what))
  try {
    return text === null ? undefined : (JSON.parse(text) as T)
  } catch {
    return undefined
  }
}
export const keepIn = (what: string, value: unknown): void => localStorage.setItem(keyOf(what), JSON.stringify(value))
export const forgetIn = (what: string): void => localStorage.removeItem(keyOf(what))

/** Hours since a lot was picked, at an instant; from the noon of its day where nobody knows better. */
export const hoursSince = ({ broughtAt, broughtOn }: Pick<LotRow, 'broughtAt' | 'broughtOn'>, atMs: number): number =>
  Math.max(0, (atMs - Date.parse(broughtAt ?? `${broughtOn}T12:00:00Z`)) / 3_600_000)

/** A lot that could be frozen, with the hours since it was picked and those it is at its best. */
export interface Heap {
  lot: LotRow
  hours: number
  within: number
  left: number
}

/**
 * What waits to be frozen: fresh, in a crop that is frozen raw or blanched, soonest too late first.
 * @param atMs when the evening begins
 * @param fridges ids of places where it ages slower
 */
export function heapsFor(lots: readonly LotRow[], atMs: number, fridges: ReadonlySet<string>): Heap[] {
  return lots
    .filter(
      (lot) =>
        lot.form === 'fresh' &&
        lot.weightG > 0 &&
        lot.fate !== 'plant' &&
        ['fresh', 'stored'].includes(lot.stage) &&
        (cropOf(lot.crop).freezing?.blanch.length ?? 0) > 0,
    )
    .map((lot) => {
      const within = freezeWithinHours(cropOf(lot.crop))
      const hours = hoursAged(hoursSince(lot, atMs), lot.placeId !== null && fridges.has(lot.placeId))
      return { lot, hours, within, left: within - hours }
    })
    .sort((a, b) => wanted(b) - wanted(a) || a.left - b.left)
}

/** what is in store for weeks and months */
export const keeps = ({ fate, stage }: Pick<LotRow, 'fate' | 'stage'>): boolean =>
  stage === 'stored' && fate === 'store'

/** What is meant for the freezer, or came in these days, is laid out; what lies in store is there to be added. */
const wanted = ({ lot, left }: Pick<Heap, 'lot' | 'left'>): number =>
  lot.aside?.why === 'freeze' ? 3 : lot.aside || keeps(lot) ? 0 : left > 0 ? 2 : left > -24 ? 1 : 0
export const isLaidOut = (heap: Heap): boolean => wanted(heap) > 0

/** Minutes of a day at a time of day. */
export function minutesOf(time: string): number {
  const [h = 0, m = 0] = time.split(':').map(Number)
  return h * 60 + m
}
const dayMinutes = 1440

/** “18:40”, so many minutes after a time of day. */
export function clockAt(from: string, minutes: number): string {
  const at = (((minutesOf(from) + Math.round(minutes)) % dayMinutes) + dayMinutes) % dayMinutes
  const two = (n: number) => String(n).padStart(2, '0')
  return `${two(Math.floor(at / 60))}:${two(at % 60)}`
}

/** Hours from one time of day to a later one, past midnight too. */
export function hoursBetween(from: string, to: string): number {
  const minutes = minutesOf(to) - minutesOf(from)
  return (minutes > 0 ? minutes : minutes + dayMinutes) / 60
}

/** An evening that is under way: its acts, when it began by the real clock, and how far it is. */
export interface Running {
  beganMs: number
  acts: Act[]
  done: number
  heaps: { code: string; crop: string; kg: number; cut: string }[]
  muted: boolean
}
