import { randomUUID } from 'node:crypto'
import { pause } from './machine'

const writers = 4
/** After a fault is over, a write that takes longer than this is stuck, ms. */
const stuckMs = 30_000

/** Writers of notes, each sent again under its number until it is acknowledged. */
export class Load {
  readonly acknowledged: string[] = []
  readonly strange = new Map<string, number>()
  private going = true
  private readonly all: Promise<void>[]
  constructor(private readonly base: string) {
    this.all = Array.from({ length: writers }, () => this.write())
  }
  private async write(): Promise<void> {
    while (this.going) {
      const text = randomUUID()
      for (;;) {
        const status = await fetch(`${this.base}/lots/G26-1/acts`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ requestId: text, act: 'note', text }),
          signal: AbortSignal.timeout(60_000),
        }).then(
          async (response) => (await response.text(), response.status),
          () => 0,
        )
        if (status === 201) break
        if (status !== 0 && status !== 503)
          this.strange.set(String(status), (this.strange.get(String(status)) ?? 0) + 1)
        await pause(20)
      }
      this.acknowledged.push(text)
    }
  }
  /** Waits until more came through. @returns whether it did in time */
  async moves(): Promise<boolean> {
    const before = this.acknowledged.length
    for (const began = Date.now(); Date.now() - began < stuckMs; await pause(20)) {
      if (this.acknowledged.length >= before + writers) return true
    }
    return false
  }
  async stop(): Promise<void> {
    this.going = false
    await Promise.all(this.all)
  }
}
