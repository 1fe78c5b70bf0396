import type { Known } from './known'
import { roughBytes } from './rough-bytes'

/**
 * Households kept worked out at most, and about so many bytes of them, so that a server stays under 600 MB; one that was
 * not asked for lately is worked out anew. VADOSE_KEPT_MB says otherwise where there is room for more.
 */
const keptAtMost = { households: 48, bytes: 1e6 * (Number(process.env['VADOSE_KEPT_MB']) || 260) }

/** The households asked for lately, the latest last. */
export class Kept {
  private readonly known = new Map<string, Promise<Known>>()
  private readonly bytes = new Map<string, number>()

  /** @param dropped hears of a household that is not kept any more */
  constructor(private readonly dropped: (id: string) => void) {}

  get(id: string): Promise<Known> | undefined {
    return this.known.get(id)
  }

  forget(id: string): void {
    this.known.delete(id)
    this.bytes.delete(id)
    this.dropped(id)
  }

  /** Puts a household at the end of those kept, and drops those longest not asked for until the rest fits. */
  touch(id: string, known: Promise<Known>): void {
    this.known.delete(id)
    this.known.set(id, known)
    known.then(
      (made) => {
        if (this.known.get(id) !== known) return
        this.bytes.set(id, roughBytes(made))
        this.dropOldest()
      },
      // one that could not be loaded is tried again by the next request
      () => this.known.get(id) === known && this.forget(id),
    )
  }

  private dropOldest(): void {
    let total = [...this.bytes.values()].reduce((a, b) => a + b, 0)
    for (const id of [...this.known.keys()].slice(0, -1)) {
      if (this.known.size <= keptAtMost.households && total <= keptAtMost.bytes) return
      total -= this.bytes.get(id) ?? 0
      this.forget(id)
    }
  }
}
