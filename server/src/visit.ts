import type { House } from '@vadose/core/forecast'
import { civilDateOf } from '@vadose/core/households'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { asHousehold, inTransaction, trail, type Client, type Pool } from './database'
import {
  answeredBefore,
  keepRemoval,
  lockHousehold,
  nowOf,
  once,
  type HouseholdRow,
  type RequestNumber,
} from './households'
import { takeEntered, type Houses, type Move } from './projections'

/** The household writing, and its moment. */
export interface Moment {
  householdId: string
  nowMs: number
  today: string
  timeZone: string
  /** of what it is set up with, under the lock */
  setupRevision: number
}

export function momentOf(household: HouseholdRow): Moment {
  const nowMs = nowOf(household)
  const { id, timeZone, setupRevision } = household
  return { householdId: id, nowMs, today: civilDateOf(nowMs, timeZone), timeZone, setupRevision }
}

/** One request about one household. */
export class Visit {
  constructor(
    private readonly pool: Pool,
    private readonly houses: Houses,
    /** as it was when the request came, or as its own write left it */
    public household: HouseholdRow,
    /** the host the page was asked for at, for addresses on tags */
    readonly host: string,
    /** the number of the write, where its sender gave it one */
    private readonly number?: RequestNumber,
  ) {}

  get id(): string {
    return this.household.id
  }
  get moment(): Moment {
    return momentOf(this.household)
  }
  house = (): Promise<House> => this.houses.of(this.household)
  moves = (): Promise<Iterable<Move>> => this.houses.moves(this.household)
  settled = (): Promise<House> => this.houses.settled(this.household)
  /** What this server knows of a lot by heart, and as of which revision of the household. */
  byHeart = (code: string) => this.houses.byHeart(this.id, code)

  read = <T>(work: (db: Client) => Promise<T>): Promise<T> => asHousehold(this.pool, this.id, work)

  /**
   * One write, all or nothing and once however often it is sent, with the household as it is under the lock.
   * @param again what a request sent again is answered, made from the first answer
   */
  write<T>(
    work: (db: Client, moment: Moment, household: HouseholdRow) => Promise<T>,
    again?: (db: Client, answer: T) => Promise<T>,
  ): Promise<T> {
    return this.writeWith(
      async () => undefined,
      (db, moment, _, household) => work(db, moment, household),
      again,
    )
  }

  /**
   * The same, where what has to be read is known beforehand: it travels with the lock, and is read under it.
   * @param read asks for what the work begins with
   */
  async writeWith<R, T>(
    read: (db: Client) => Promise<R>,
    work: (db: Client, moment: Moment, known: R, household: HouseholdRow) => Promise<T>,
    again?: (db: Client, answer: T) => Promise<T>,
  ): Promise<T> {
    const { answer, before, left, entered } = await inTransaction(this.pool, this.id, async (db) => {
      // of one that was taken back on this connection
      takeEntered(db)
      const [before, seen, known] = await Promise.all([
        lockHousehold(db, this.id),
        this.number && answeredBefore(db, this.id, this.number.id),
        read(db),
      ])
      if (!before) throw unknownHousehold(this.household.address)
      const made = await once(db, this.id, this.number, seen, () => work(db, momentOf(before), known, before), again)
      const left = lockHousehold(db, this.id)
      trail(db, left)
      const entered = takeEntered(db)
      void this.houses.foresee(before, entered).catch(() => undefined)
      return { answer: made, before, left, entered }
    })
    this.household = (await left)!
    this.houses.wrote(before, this.household, entered)
    return answer
  }

  /** The last write of a household: nothing of it is there afterwards, the numbers of its requests neither. */
  async end(work: (db: Client, household: HouseholdRow) => Promise<void>): Promise<void> {
    await inTransaction(this.pool, this.id, async (db) => {
      const before = await lockHousehold(db, this.id)
      if (!before) throw unknownHousehold(this.household.address)
      await work(db, before)
      if (this.number) await keepRemoval(db, this.id, before.address, this.number)
    })
    this.houses.forget(this.id)
  }
}

export const unknownHousehold = (address: string) =>
  new Refusal('no-such-household', told('input.noSuchHousehold', { address: address.slice(0, 60) }), 'household')
