import { addDays, daysBetween, type CivilDate } from '../households'
import type { BedEntry, BedMove, Stand } from './entry'
import { forgottenDays, leftStandingDays, plantingDays } from '../assumptions'

const yearDays = 365

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
/** one that is not named may be any */
const sameVariety = (a: string | null, b: string | null) => a === null || b === null || same(a, b)

type Happening = { on: CivilDate; crop: string; variety: string | null; bed: string } & (
  { entry: BedEntry } | { move: BedMove }
)

/**
 * What grows in the beds, from what was written down there and from what was planted and brought in. A look after a
 * harvest says that something still stands; a planting after one begins anew.
 * @param entries none that was struck out
 * @param told what moved, as it is told now
 */
export function standsOf(entries: readonly BedEntry[], told: Iterable<BedMove>, today: CivilDate): Stand[] {
  const moves = [...told]
  const happened: Happening[] = [
    ...entries.map((entry) => ({ ...entry, entry })),
    ...moves.flatMap((move) =>
      move.bed && (move.kind === 'planted' || move.kind === 'brought-in') ? [{ ...move, bed: move.bed, move }] : [],
    ),
  ]
  const stands: Stand[] = []
  for (const one of happened.sort(byDay)) {
    const planting = 'entry' in one ? one.entry.what === 'planted' : one.move.kind === 'planted'
    const known = stands.findLast(
      (stand) => stand.crop === one.crop && same(stand.bed, one.bed) && sameVariety(stand.variety, one.variety),
    )
    if (known && planting && longAgo(known, one.on)) known.over = true
    const anew = !known || (known.over && (planting || 'entry' in one) && !stillStands(known, one, planting))
    // what is brought in where nothing was written down is a harvest, and no stand
    if (anew && 'move' in one && !planting) continue
    const stand = anew ? begun(one) : known
    if (anew) stands.push(stand)
    stand.variety ??= one.variety
    tell(stand, one, planting)
  }
  for (const stand of stands) stand.lastYear = liftedBefore(stand, moves)
  return stands.filter((stand) => {
    const last = [stand.plantedOn, stand.entries.at(-1)?.on, stand.lifted.at(-1)?.on].filter(Boolean).sort().at(-1)!
    return daysBetween(last as CivilDate, today) <= forgottenDays
  })
}

/** When its like was lifted the year before it. */
function liftedBefore(stand: Stand, moves: readonly BedMove[]): CivilDate | null {
  const began = [stand.plantedOn, stand.entries[0]?.on].filter((on): on is CivilDate => Boolean(on)).sort()[0]!
  const before = moves
    .filter((move) => move.kind === 'brought-in' && move.crop === stand.crop && move.on < began)
    .filter((move) => daysBetween(move.on, began) < yearDays)
    .map(({ on }) => on)
    .sort()
  const last = before.at(-1)
  return last ? addDays(last, yearDays) : null
}

const byDay = (a: Happening, b: Happening) => (a.on < b.on ? -1 : a.on > b.on ? 1 : rank(a) - rank(b))
/** on one day it is looked at, then lifted, then planted again */
const rank = (one: Happening) =>
  'entry' in one
    ? one.entry.what === 'planted'
      ? 2
      : one.entry.what === 'cleared'
        ? 1.5
        : 0
    : one.move.kind === 'brought-in'
      ? 1
      : 2

const longAgo = ({ plantedOn }: Stand, on: CivilDate) => plantedOn !== null && daysBetween(plantedOn, on) > plantingDays

const stillStands = (stand: Stand, one: Happening, planting: boolean): boolean =>
  !planting &&
  stand.entries.at(-1)?.what !== 'cleared' &&
  stand.lifted.length > 0 &&
  daysBetween(stand.lifted.at(-1)!.on, one.on) <= leftStandingDays

function begun(one: Happening): Stand {
  return {
    key: `${one.crop}|${one.bed.trim().toLowerCase()}|${one.variety?.trim().toLowerCase() ?? ''}|${one.on}`,
    crop: one.crop,
    variety: one.variety,
    bed: one.bed.trim(),
    growsIn: 'bed',
    plantedOn: null,
    planted: { weightG: 0, pieces: 0 },
    from: [],
    entries: [],
    lifted: [],
    lastYear: null,
    over: false,
  }
}

function tell(stand: Stand, one: Happening, planting: boolean): void {
  if ('entry' in one) {
    stand.entries.push(one.entry)
    stand.growsIn = one.entry.growsIn
    stand.over = one.entry.what === 'cleared'
  }
  if (planting) {
    const { weightG, pieces } = 'entry' in one ? one.entry : one.move
    stand.plantedOn ??= one.on
    stand.planted.weightG += Math.abs(weightG ?? 0)
    stand.planted.pieces += Math.abs(pieces ?? 0)
    if ('move' in one && !stand.from.includes(one.move.code)) stand.from.push(one.move.code)
  } else if ('move' in one) {
    const { on, weightG, pieces } = one.move
    const sameDay = stand.lifted.find((lifted) => lifted.on === on)
    if (sameDay) {
      sameDay.weightG += weightG
      sameDay.pieces += pieces
    } else stand.lifted.push({ on, weightG, pieces })
    stand.over = true
  }
}
