import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { performance } from 'node:perf_hooks'
import { openPool } from '../server/src/database'
import { Houses } from '../server/src/projections'
import { householdById } from '../server/src/households'
import { Visit } from '../server/src/serve'
import { writeAct } from '../server/src/lots/write'
import { larderView } from '../server/src/larder/view'
import { storesView } from '../server/src/stores/view'
import { lineView } from '../server/src/line/view'
import { roundView } from '../server/src/round/view'
import { lotRow } from '../server/src/lots'
import { textOf } from '../server/src/text'
import { eatFirstOf, planOf, workable, verdictOn } from '@vadose/core/forecast'
import { placeView } from '../server/src/places'
const d = JSON.parse(readFileSync('/tmp/decade.json', 'utf8'))
const pool = openPool(d.url)
const houses = new Houses(pool)
const times: Record<string, number[]> = {}
const t = async (k: string, w: () => unknown) => { const b = performance.now(); const r = await w(); (times[k] ??= []).push(performance.now() - b); return r as never }
let row = (await householdById(pool, d.id))!
for (let i = 0; i < 400; i++) {
  const weigh = i % 2
  const code = weigh ? d.hanging[(i >> 1) % d.hanging.length] : d.stored[i % d.stored.length]
  const requestId = randomUUID()
  const act = weigh ? { act: 'weigh', weightG: 555 - ((i >> 1) % 60), basis: 'bunch', sure: true } : { act: 'note', text: 'x' + i }
  const visit = new Visit(pool, houses, row, '', { id: requestId, route: 'x', contentHash: Buffer.from('x') })
  const s = weigh ? 'W ' : 'N '
  await t(s + 'write', () => visit.write((db, m) => writeAct(db, m, code, act as never, requestId)))
  row = visit.household
  const house = await t(s + 'house', () => visit.house()) as import('@vadose/core/forecast').House
  const moves = await visit.moves()
  await t(s + 'lotRow', () => lotRow(house, house.lot(code)!))
  await t(s + 'workable', () => workable(house))
  await t(s + 'eatFirst', () => eatFirstOf(house))
  await t(s + 'plan', () => planOf(house))
  await t(s + 'verdicts', () => house.places.map((p) => verdictOn(house, p)))
  await t(s + 'placeViews', () => house.places.map((p) => placeView(house, p)))
  for (const [k, f] of Object.entries({ larder: () => larderView(house, moves), stores: () => storesView(house), line: () => lineView(house), round: () => roundView(house, moves, house.today) })) {
    const v = await t(s + k, f)
    const x = await t(s + k + ' text', () => textOf(v)) as string
    if (i === 10) console.log(k, x.length)
  }
}
for (const [k, l] of Object.entries(times)) { const v = l.slice(100).sort((a, b) => a - b); console.log(k.padEnd(16), 'p50', v[v.length >> 1]!.toFixed(2), 'p95', v[Math.floor(v.length * 0.95)]!.toFixed(2)) }
await pool.end(); process.exit(0)
