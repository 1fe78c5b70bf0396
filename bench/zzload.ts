import { readFileSync } from 'node:fs'
import { monitorEventLoopDelay, performance } from 'node:perf_hooks'
import { openPool } from '../server/src/database'
import { Houses } from '../server/src/projections'
import { householdAt } from '../server/src/households'
import { writeFileSync } from 'node:fs'
const gaps: [number, number][] = []
let last = Number(process.hrtime.bigint()) / 1e3
const tick = () => { const now = Number(process.hrtime.bigint()) / 1e3; if (now - last > 40_000) gaps.push([last, now]); last = now; setImmediate(tick) }
if (process.env.GAPS) tick()
const d = JSON.parse(readFileSync('/tmp/decade.json', 'utf8'))
const pool = openPool(d.url)
const houses = new Houses(pool)
const { warmBooks } = await import('../server/src/projections'); await warmBooks(); await pool.query('select 1')
// the code itself is compiled and warmed by one
for (const name of ['decade', 'copy-1', 'copy-2', 'copy-3']) {
  const row = (await householdAt(pool, name))!
  const delay = monitorEventLoopDelay({ resolution: 2 })
  delay.enable()
  const t = performance.now()
  const before = process.memoryUsage()
  await houses.of(row)
  delay.disable()
  globalThis.gc?.()
  const after = process.memoryUsage()
  console.log(name, (performance.now() - t).toFixed(0), 'ms, longest hold', (delay.max / 1e6).toFixed(0), 'p99', (delay.percentile(99) / 1e6).toFixed(0), 'heap', ((after.heapUsed - before.heapUsed) / 1e6).toFixed(1), 'external', ((after.arrayBuffers - before.arrayBuffers) / 1e6).toFixed(1), 'rss', (after.rss / 1e6).toFixed(0))
}
writeFileSync('/tmp/gaps.json', JSON.stringify(gaps)); await pool.end(); process.exit(0)
