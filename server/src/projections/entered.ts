import type { HouseholdRow } from '../households'
import type { Client } from '../database'
import type { EventOfLot, Ledgers } from './queries'

/** What a transaction of this server's own entered in one lot's ledger, by one statement. */
export interface Entered {
  lotId: string
  events: readonly EventOfLot[]
  /** the lot's ledger with it, and those of what it was taken from */
  ledgers: Ledgers
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
const keptAtMost = 20

/** The latest writes of this server, so that what it wrote itself need not be asked for. Where anything else was written too, it is. */
export class Writes {
  private readonly latest = new Map<string, Write[]>()

  /** @param before @param after the household as the write found it under its lock, and as it left it */
  add(before: HouseholdRow, after: HouseholdRow, entered: readonly Entered[]): void {
    const simple =
      entered.length > 0 &&
      // every statement that changes anything lets the revision rise by one: it wrote nothing else
      after.revision - before.revision === entered.length &&
      after.setupRevision === before.setupRevision &&
      entered.every(({ events }) => events.every(({ kind }) => !retelling.includes(kind)))
    const { id } = after
    if (!simple) this.latest.delete(id)
    else {
      const writes = this.latest.get(id) ?? []
      this.latest.set(id, [...writes, { from: before.revision, to: after.revision, entered }].slice(-keptAtMost))
    }
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
  }
}
