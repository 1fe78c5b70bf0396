import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { createServer, request, Agent } from 'node:http'
import type { AddressInfo } from 'node:net'
import { performance } from 'node:perf_hooks'
import express from 'express'
import { pino } from 'pino'
import { makeApp } from '../server/src/app'
import { openPool } from '../server/src/database'
import { Houses } from '../server/src/projections'
import { householdById } from '../server/src/households'
const d = JSON.parse(readFileSync('/tmp/decade.json', 'utf8'))
const pool = openPool(d.url)
const houses = new Houses(pool)
const app = express()
app.get('/bare', async (_q, r) => { r.json((await pool.query('select 1 as one')).rows) })
app.post('/bare', async (_q, r) => {
  const client = await pool.connect()
  await client.query('begin')
  await client.query('insert into bare (id) values ($1)', [randomUUID()])
  await client.query('commit')
  client.release()
  r.status(201).json({ ok: true })
})
app.use(makeApp({ pool, houses, webRoot: '.', programs: 'server/dist', log: pino({ level: 'silent' }) }))
const server = createServer(app)
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const { port } = server.address() as AddressInfo
const agent = new Agent({ keepAlive: true, maxSockets: 1 })
const once = (method: string, path: string, body?: unknown): Promise<number> => new Promise((resolve, reject) => {
  const began = performance.now()
  const sent = request({ port, host: '127.0.0.1', method, path, agent, headers: { 'content-type': 'application/json' } }, (response) => {
    const chunks: Buffer[] = []
    response.on('data', (c: Buffer) => chunks.push(c))
    response.on('end', () => response.statusCode! < 300 ? resolve(performance.now() - began) : reject(new Error(`${path} ${response.statusCode} ${Buffer.concat(chunks)}`)))
  })
  sent.on('error', reject)
  sent.end(body === undefined ? undefined : JSON.stringify(body))
})
const at = (path: string) => `/api/households/${d.address}${path}`
let n = 0
const note = () => once('POST', at(`/lots/${d.stored[n % d.stored.length]}/acts`), { requestId: randomUUID(), act: 'note', text: `note ${n++}` })
let turn = Number(process.env.TURN ?? Math.floor(Math.random() * 2000))
const weigh = () => once('POST', at(`/lots/${d.hanging[turn % d.hanging.length]}/acts`), { requestId: randomUUID(), act: 'weigh', weightG: 555 - Math.floor(turn++ / d.hanging.length) % 60, basis: 'bunch', sure: true })
const q = (list: number[], p: number) => [...list].sort((a, b) => a - b)[Math.floor(list.length * p)]!
const cold = performance.now()
await once('GET', at('/round'))
console.log('cold', (performance.now() - cold).toFixed(0))
const screens: Record<string, string> = { Today: '/round', Line: '/line', Stores: '/stores', Larder: '/larder', lot: `/lots/${d.stored[1]}` }
for (let i = 0; i < 40; i++) { await once('GET', '/bare'); await once('POST', '/bare', {}); await note(); for (const p of Object.values(screens)) await once('GET', at(p)) }
const times: Record<string, number[]> = {}
const add = (k: string, t: number) => (times[k] ??= []).push(t)
const which = process.env.ONLY
const rounds = Number(process.env.N ?? 60)
if (which) {
  for (let i = 0; i < rounds; i++) { add('note', await note()); if (which !== 'note') add(which, await once('GET', at(screens[which]!))) }
} else for (let i = 0; i < rounds; i++) {
  add('bare', await once('GET', '/bare'))
  add('bareWrite', await once('POST', '/bare', {}))
  for (const [k, p] of Object.entries(screens)) {
    add('bare', await once('GET', '/bare'))
    add(k, await once('GET', at(p)))
    if (i % 2) add('note', await note()); else add('weigh', await weigh())
    add(k + (i % 2 ? ' after note' : ' after weigh'), await once('GET', at(p)))
  }
}
const b = times.bare, bw = times.bareWrite
for (const [k, l] of Object.entries(times)) {
  const of = /^(note|weigh|bareW)/.test(k) ? bw : b
  console.log(k.padEnd(22), 'p50', q(l, 0.5).toFixed(2), 'p95', q(l, 0.95).toFixed(2), of ? `x50 ${(q(l, 0.5) / q(of, 0.5)).toFixed(1)} x95 ${(q(l, 0.95) / q(of, 0.95)).toFixed(1)}` : '')
}
if (process.env.READING) {
  const fresh = async (w: () => Promise<unknown>) => { const c = process.cpuUsage(); const t = performance.now(); await w(); await houses.settled((await householdById(pool, d.id))!); const { user, system } = process.cpuUsage(c); return [(user + system) / 1e6, performance.now() - t] }
  const cellar = new Map(d.places).get('cellar')
  const cpus: number[] = [], ms: number[] = []
  for (let i = 0; i < 12; i++) { const [c, t] = await fresh(() => once('POST', at(`/places/${cellar}/readings`), { temperatureC: 10 + Math.random(), relativeHumidityPct: 85 })); cpus.push(c!); ms.push(t!) }
  console.log('reading cpu', q(cpus, 0.5).toFixed(3), 'ms', q(ms, 0.5).toFixed(0))
}
agent.destroy()
await new Promise((resolve) => server.close(resolve))
await pool.end()
process.exit(0)
