import { civilDateOf, dayMs } from '@vadose/core/households'
import { stateOf, type LotState } from '@vadose/core/forecast'
import type { BedEntry } from '@vadose/core/beds'
import { Grown } from '@vadose/core/grown'
import { bedEntriesSince } from '../beds'
import type { Client } from '../database'
import { nowOf, type HouseholdRow } from '../households'
import type { Entered } from './entered'
import { lotsOf, movesAfter, movesOf, movesWith, type Known } from './known'
import {
  descendantsOf,
  identitiesOf,
  lotsTouchedSince,
  movesSince,
  tellsOfMoves,
  type Move,
  type MoveRow,
} from './queries'
import { setupOf, type Setup } from './setup'

/** the seasons before this one, for what is eaten and for the same weeks of last year, days */
const backDays = 420
/** entries that say something of a bed, or of what others say */
const bedKinds = ['brought-in', 'planted', 'undone', 'restated', 'relabelled']

/** From when on what moved is known. */
export const movesFrom = (nowMs: number) => new Date(nowMs - backDays * dayMs)

/** What has been entered since a household was worked out. */
export interface Entries extends Setup {
  /** lots that are told anew; what is not among `changed` is gone */
  touched: readonly string[]
  changed: ReadonlyMap<string, LotState>
  lastEvent: number
  moved: Grown<MoveRow>
  moves: Grown<Move>
  bedEntries: readonly BedEntry[]
  /** whether it says anything of the beds */
  ofBeds: boolean
}

/** What moved, with rows entered since; undefined where all are to be read anew. */
function movedWith(known: Known, entered: readonly MoveRow[], zone: string) {
  const moved = movesWith(known.moved, entered)
  if (!moved) return undefined
  return {
    moved,
    moves: movesAfter(known.moves, entered, zone) ?? Grown.of(movesOf(moved, zone)),
    ofBeds: entered.some(({ kind }) => bedKinds.includes(kind)),
  }
}

/** Reads what was entered since, here or on another server. */
export async function readEntries(db: Client, known: Known, household: HouseholdRow): Promise<Entries> {
  const { id, timeZone } = household
  const [rows, entered] = await Promise.all([
    lotsTouchedSince(db, id, known.lastEvent),
    movesSince(db, id, new Date(0), known.lastEvent),
  ])
  // what was taken from a lot that is told otherwise goes on with that
  const retold = rows.filter((row) => row.retold).map(({ identity }) => identity.id)
  const own = new Set(rows.map(({ identity }) => identity.id))
  const parts = retold.length === 0 ? [] : (await descendantsOf(db, id, retold)).filter((one) => !own.has(one))
  const { almanac, places } = await setupOf(db, id, household.setupRevision)
  const identities = rows.map(({ identity }) => identity)
  if (parts.length > 0) identities.push(...(await identitiesOf(db, id, parts)))
  const since = movesFrom(nowOf(household))
  let told = movedWith(known, entered, timeZone)
  if (!told) {
    const moved = Grown.of(await movesSince(db, id, since))
    told = { moved, moves: Grown.of(movesOf(moved, timeZone)), ofBeds: true }
  }
  const sameSetup = known.household.setupRevision === household.setupRevision
  return {
    almanac,
    places,
    touched: [...own, ...parts],
    changed: await lotsOf(db, id, identities, almanac),
    lastEvent: Math.max(known.lastEvent, ...rows.map(({ last }) => last)),
    bedEntries: sameSetup ? known.bedEntries : await bedEntriesSince(db, id, civilDateOf(since.getTime(), timeZone)),
    ...told,
  }
}

/** The same of what this server entered itself; undefined where something has to be read for it. */
export function ownEntries(known: Known, entered: readonly Entered[], zone: string): Entries | undefined {
  const { almanac } = known.house
  const changed = new Map<string, LotState>()
  const rows: MoveRow[] = []
  for (const { lotId, events, history, name } of entered) {
    // whoever read the household for an earlier revision may have seen this one's entries already, and later ones
    if (events.at(-1)!.id <= known.lastEvent) continue
    const lot = known.lots.get(lotId)
    if (!lot) return undefined
    changed.set(lotId, stateOf(lot, history, almanac))
    const { crop, code, variety, bed } = lot
    for (const event of events.filter(tellsOfMoves)) {
      rows.push({ ...event, crop, code, variety, bed, name, placeId: null })
    }
  }
  const told = movedWith(known, rows, zone)
  if (!told) return undefined
  return {
    almanac,
    places: known.places,
    touched: [...changed.keys()],
    changed,
    lastEvent: Math.max(known.lastEvent, ...entered.flatMap(({ events }) => events.map(({ id }) => id))),
    bedEntries: known.bedEntries,
    ...told,
  }
}
