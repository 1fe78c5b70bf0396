import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import type { Calculated, Calculation } from './calculate-worker'

/** Longest one call may take, ms. */
const limitMs = 20_000
/** Calls that may wait for a thread. */
const mostWaiting = 16

/** The calculators, in threads of their own: a long one holds up nobody but who asked. */
export class Calculators {
  private readonly threads: Piscina<Calculation, Calculated>

  /** @param program the built worker */
  constructor(program: string) {
    this.threads = new Piscina({
      filename: program,
      minThreads: 0,
      // one core is left for the screens
      maxThreads: Math.max(1, availableParallelism() - 1),
      idleTimeout: 30_000,
      maxQueue: mostWaiting,
    })
  }

  /** @returns the answer as JSON. @throws Refusal, `too-much` where it would take too long, `too-many` where others wait */
  async run(name: string, text: string): Promise<string> {
    const calculated = await this.threads
      .run({ name, text }, { signal: AbortSignal.timeout(limitMs) })
      .catch((error: Error) => {
        if (error.name === 'AbortError' || error.name === 'TimeoutError') {
          throw new Refusal('too-much', told('worksheets.tooSlow', { seconds: limitMs / 1000 }))
        }
        if (/queue/i.test(error.message)) {
          throw new Refusal('too-many', told('worksheets.busy'))
        }
        throw error
      })
    if ('answer' in calculated) return calculated.answer
    const { code, says, field } = calculated.refusal
    throw new Refusal(code, says, field)
  }

  end = () => this.threads.destroy()
}
