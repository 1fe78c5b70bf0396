import type { LarderLot } from '@vadose/contract/larder'
import { cropOf, lotName } from '../almanac'
import { containerOf } from './shapes'
import { say } from './say'

export interface Wanted {
  order: 'shelves' | 'eat-first'
  /** what was typed: a crop, a dish, a note, a month */
  typed: string
  /** jars, bags, what lies loose … */
  container: string | undefined
  source: 'grown' | 'bought' | 'noted' | undefined
}

const month = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' })

const known = new WeakMap<LarderLot, string>()
/** All that a line can be found by, in small letters. */
function wordsOf(lot: LarderLot): string {
  const was = known.get(lot)
  if (was !== undefined) return was
  const { name, synonyms } = cropOf(lot.crop)
  const words = [
    lot.code,
    lotName(lot),
    name,
    ...synonyms,
    lot.form,
    lot.variety,
    lot.bed,
    lot.place,
    lot.note,
    lot.source,
    lot.unit,
    month.format(new Date(`${lot.broughtOn}T12:00Z`)),
  ]
    .join(' ')
    .toLowerCase()
  known.set(lot, words)
  return words
}

/**
 * Lines that fit, on their shelves: what is set aside first, then place by place; or all in one, soonest lost first.
 * @param walk names of the places in the order they are walked
 */
export function shelvesOf(
  lots: readonly LarderLot[],
  walk: readonly string[],
  { order, typed, container, source }: Wanted,
) {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  const fit = lots.filter(
    (lot) =>
      (container === undefined || containerOf(lot) === container) &&
      (source === undefined ||
        (source === 'noted'
          ? lot.note !== null
          : source === 'grown'
            ? lot.source === 'grown'
            : lot.source !== 'grown')) &&
      (words.length === 0 || words.every((word) => wordsOf(lot).includes(word))),
  )
  if (order === 'eat-first') return fit.length > 0 ? [{ place: say('soonestLostFirst'), lots: fit }] : []
  const aside = fit.filter((lot) => lot.aside)
  const kept = fit.filter((lot) => !lot.aside)
  const at = (name: string) => (walk.includes(name) ? walk.indexOf(name) : walk.length)
  const names = [...new Set(kept.map((lot) => lot.place ?? 'somewhere'))].sort((a, b) => at(a) - at(b))
  return [
    ...(aside.length > 0 ? [{ place: say('setAsideToBeUsed'), lots: aside }] : []),
    ...names.map((place) => ({ place, lots: kept.filter((lot) => (lot.place ?? 'somewhere') === place) })),
  ]
}
