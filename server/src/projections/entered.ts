import type { LotHistory } from '@vadose/core/lots'
import type { HouseholdRow } from '../households'
import type { Client } from '../database'
import type { EventOfLot, Ledgers } from './queries'

/** A lot as its ledger tells it. */
export interface ByHeart {
  /** the lot's ledger, and those of what it was taken from */
  ledgers: Ledgers
  history: LotHistory
}

/** What a transaction of this server's own entered in one lot's ledger, by one statement, and what it is told as then. */
export interface Entered extends ByHeart {
  lotId: string
  events: readonly EventOfLot[]
  /** of its own, where it is not simply its crop */
  name: string | null
}

const under = new WeakMap<Client, Entered[]>()

/** Remembers what a transaction entered until it ends. */
export const noteEntered = (db: Client, entered: Entered) => under.set(db, [...(under.get(db) ?? []), entered])

/** What a transaction entered; not told twice. */
export function takeEntered(db: Client): readonly Entered[] {
  const entered = under.get(db) ?? []
  under.delete(db)
  return entered
}

/** One write: the household's revisions before and after it. */
interface Write {
  from: number
  to: number
  entered: readonly Entered[]
}

/** entries that say something of others, or of the lot's tag: what they change is read */
const retelling = ['undone', 'restated', 'relabelled']
export const retells = (entered: readonly Entered[]): boolean =>
  entered.some(({ events }) => events.some(({ kind }) => retelling.includes(kind)))
const keptAtMost = 20

/** What is told of lots that were written on lately, as of one revision of their household. */
interface Lately {
  revision: number
  byLot: Map<string, ByHeart>
}
const lotsAtMost = 120

/** The latest writes of this server, so that what it wrote itself need not be asked for. Where anything else was written too, it is. */
export class Writes {
  private readonly latest = new Map<string, Write[]>()
  private readonly lately = new Map<string, Lately>()

  /** @param before @param after the household as the write found it under its lock, and as it left it */
  add(before: HouseholdRow, after: HouseholdRow, entered: readonly Entered[]): void {
    const simple =
      entered.length > 0 &&
      // every statement that changes anything lets the revision rise by one: it wrote nothing else
      after.revision - before.revision === entered.length &&
      after.setupRevision === before.setupRevision &&
      !retells(entered)
    const { id } = after
    if (!simple) return this.forget(id)
    const writes = this.latest.get(id) ?? []
    this.latest.set(id, [...writes, { from: before.revision, to: after.revision, entered }].slice(-keptAtMost))
    const was = this.lately.get(id)
    const byLot: Map<string, ByHeart> = was?.revision === before.revision ? was.byLot : new Map()
    for (const { lotId, ledgers, history } of entered) {
      byLot.delete(lotId)
      byLot.set(lotId, { ledgers, history })
    }
    for (const lotId of byLot.keys()) {
      if (byLot.size <= lotsAtMost) break
      byLot.delete(lotId)
    }
    this.lately.set(id, { revision: after.revision, byLot })
  }

  /** What is told of a lot at a revision of its household, where this server wrote on it since anybody wrote anything else. */
  byHeart(householdId: string, lotId: string): (ByHeart & { revision: number }) | undefined {
    const lately = this.lately.get(householdId)
    const told = lately?.byLot.get(lotId)
    return told && { ...told, revision: lately!.revision }
  }

  /** What was entered between two revisions, where it is all known. */
  between(householdId: string, from: number, to: number): readonly Entered[] | undefined {
    const entered: Entered[] = []
    let at = from
    for (const write of this.latest.get(householdId) ?? []) {
      if (write.from !== at || write.to > to) continue
      entered.push(...write.entered)
      at = write.to
    }
    return at === to ? entered : undefined
  }

  forget(householdId: string): void {
    this.latest.delete(householdId)
    this.lately.delete(householdId)
  }
}
