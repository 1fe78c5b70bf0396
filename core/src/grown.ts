/**
 * A list that is only ever added to, such as a ledger's. Each state of it stands for itself, and shares its rows with those
 * before it: adding a row to twenty thousand copies none of them.
 */
export class Grown<T> implements Iterable<T> {
  private constructor(
    private readonly rows: T[],
    readonly length: number,
  ) {}

  static of<T>(rows: readonly T[]): Grown<T> {
    return new Grown([...rows], rows.length)
  }

  /** The list with more rows; the very same where there are none. */
  with(more: readonly T[]): Grown<T> {
    if (more.length === 0) return this
    // where an earlier state is added to a second time, it goes its own way
    const rows = this.rows.length === this.length ? this.rows : this.rows.slice(0, this.length)
    for (const row of more) rows.push(row)
    return new Grown(rows, rows.length)
  }

  /** What was added to an earlier state of it; undefined where the two are not of one list. */
  since(was: Iterable<T>): readonly T[] | undefined {
    return was instanceof Grown && was.rows === this.rows && was.length <= this.length
      ? this.rows.slice(was.length, this.length)
      : undefined
  }

  [Symbol.iterator](): Iterator<T> {
    const rows = this.rows.length === this.length ? this.rows : this.rows.slice(0, this.length)
    return rows[Symbol.iterator]()
  }
}

/** What was added to a list; undefined where it was told anew. */
export const addedTo = <T>(was: Iterable<T>, now: Iterable<T>): readonly T[] | undefined =>
  was === now ? [] : now instanceof Grown ? (now as Grown<T>).since(was) : undefined
