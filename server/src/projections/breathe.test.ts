import { expect, it } from 'vitest'
import { breather, inTurn } from './breathe'

/** One that takes about so long. */
function busy(ms: number): void {
  const until = performance.now() + ms
  while (performance.now() < until);
}

it('lets others in between two pieces of work, and says what came of it', async () => {
  let others = 0
  const timer = setInterval(() => others++, 1)
  function* work() {
    for (let i = 0; i < 4; i++) {
      busy(6)
      yield
    }
    return 'made'
  }
  expect(await inTurn(work(), breather())).toBe('made')
  clearInterval(timer)
  expect(others).toBeGreaterThanOrEqual(3)
})

it('a piece that fails ends the work with its reason', async () => {
  function* work() {
    yield
    throw new Error('no air')
  }
  await expect(inTurn(work(), breather())).rejects.toThrow('no air')
})
