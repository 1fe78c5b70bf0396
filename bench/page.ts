import type { Page } from '@playwright/test'
import serve from '../e2e/serve'
import { longTasks, watchedPage } from './in-browser'

/**
 * The round of the demo, opened again and again in a fresh browser, at a table and on a phone: how many loads had a task of
 * over 50 ms, and what was sent. As many bare stretches of arithmetic, as long as the longest of ours, say what the machine
 * itself makes of such a stretch while something else wants its processors. Wanted: none.
 */
const loads = Number(process.argv[2] ?? 20)
const sizes = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
]
/** ms; the longest stretches of the first page take that long of a processor by themselves. */
const stretchMs = 35

/** Stretches of arithmetic, each a task of its own; how long each took by the clock, ms. */
const bare = (page: Page, ms: number, times: number) =>
  page.evaluate(
    async ([ms, times]) => {
      const spin = (turns: number) => {
        let x = 1
        for (let i = 0; i < turns; i++) x = (x * 1_103_515_245 + i) | 0
        return x
      }
      spin(5e6)
      const before = performance.now()
      spin(2e7)
      const turns = (2e7 * ms) / (performance.now() - before)
      const took: number[] = []
      for (let i = 0; i < times; i++) {
        await new Promise((done) => setTimeout(done, 20))
        const from = performance.now()
        spin(turns)
        took.push(performance.now() - from)
      }
      return took
    },
    [ms, times] as const,
  )

const sent = (page: Page) =>
  page.evaluate(() => {
    const all = performance.getEntriesByType('resource') as PerformanceResourceTiming[]
    const scripts = all.filter(({ name }) => name.endsWith('.js'))
    return {
      files: all.length,
      scripts: scripts.length,
      kB: scripts.reduce((sum, s) => sum + s.encodedBodySize, 0) / 1000,
    }
  })

const end = await serve()
try {
  const page = `${process.env['VADOSE_URL']!}/quarry-house/`
  // the server has read the household before anything is measured
  await watchedPage(page, () => Promise.resolve())
  const machine: number[] = []
  for (const size of sizes) {
    let [over, longest] = [0, 0]
    let last = { files: 0, scripts: 0, kB: 0 }
    for (let i = 0; i < loads; i++) {
      await watchedPage(
        page,
        async (opened) => {
          await opened.getByRole('complementary').first().waitFor()
          await opened.waitForTimeout(500)
          const tasks = await longTasks(opened)
          if (tasks.length > 0) over++
          longest = Math.max(longest, ...tasks)
          last = await sent(opened)
          if (i % 5 === 0) machine.push(...(await bare(opened, stretchMs, 10)))
        },
        size,
      )
    }
    console.log(
      `first page, ${size.width} × ${size.height}: ${over} of ${loads} loads with a task over 50 ms (wanted 0)` +
        `${over ? `, the longest ${longest} ms` : ''}; ${last.files} files, of them ${last.scripts} of JavaScript, ${last.kB.toFixed(0)} kB as sent (wanted < 200)`,
    )
  }
  console.log(
    `bare stretches of ${stretchMs} ms in the same browsers: ${machine.filter((ms) => ms > 50).length} of ${machine.length} over 50 ms, ` +
      `longest against its own length: ratio ${(Math.max(...machine) / stretchMs).toFixed(2)}`,
  )
} finally {
  await end()
}
