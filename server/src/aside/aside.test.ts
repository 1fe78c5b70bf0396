import express from 'express'
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { request } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import { describe, expect, it } from 'vitest'
import { answerError } from '../refusals'
import { practiceFile } from '../testing/fresh'
import { Aside } from './aside'

const at = practiceFile()

const readings = (n: number, more: object = {}) => ({
  requestId: randomUUID(),
  placeId: at.place('Cellar'),
  fileName: 'cellar.csv',
  at: Array.from({ length: n }, (_, i) => 1_780_000_000 + 300 * i),
  temperatureC: Array.from({ length: n }, () => 9),
  relativeHumidityPct: Array.from({ length: n }, () => 85),
  ...more,
})

describe('what is heavy, in a thread of its own', () => {
  it('is answered, refused and known again as by the server itself', async () => {
    const given = readings(20)
    const first = await at.client.post('/readings/imports', given)
    expect(first).toMatchObject({ status: 201, body: { id: given.requestId, added: 20 } })
    expect((await at.client.post('/readings/imports', given)).body).toEqual(first.body)
    const other = await at.client.post('/readings/imports', { ...given, fileName: 'other.csv' })
    expect(other).toMatchObject({ status: 409, body: { error: { code: 'number-used' } } })
    const wrong = await at.client.post('/readings/imports', readings(3, { temperatureC: [1, 2] }))
    expect(wrong).toMatchObject({ status: 400, body: { error: { field: 'temperatureC' } } })
    const undone = await at.client.post(`/readings/imports/${given.requestId}/undo`, {})
    expect(undone).toMatchObject({ status: 200, body: { removed: 20 } })
  })

  it('is seen at once by the server that handed it on', async () => {
    const before = (await at.client.get('/readings/imports')).body as unknown[]
    await at.client.post('/readings/imports', readings(5))
    const after = (await at.client.get('/readings/imports')).body as unknown[]
    expect(after).toHaveLength(before.length + 1)
  })

  it('is refused for its size, though all of it was not read', async () => {
    const { status, body } = await at.client.post('/readings/imports', `{"a":"${'x'.repeat(34_000_000)}"}`)
    expect(status).toBe(413)
    expect(body).toMatchObject({ error: { code: 'too-large' } })
  })

  it('lets go of what is broken off, and serves the next', async () => {
    const { base } = at.client
    await new Promise<void>((resolve) => {
      const broken = request(`${base}/api/household-files`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'content-length': '5000000' },
      })
      broken.on('error', () => resolve())
      broken.write('{"format":"vadose-household",', () => setImmediate(() => broken.destroy()))
    })
    expect((await at.client.post('/readings/imports', readings(2))).status).toBe(201)
  })

  it('that ended over a request says so with 503, and is started again for the next', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'vadose-ends-'))
    const program = join(folder, 'ends.mjs')
    writeFileSync(program, 'process.exit(3)')
    const aside = new Aside(program, 'postgres://nobody@127.0.0.1:1/none')
    const app = express()
    app.post('/heavy', (request, response) => aside.forward(request, response))
    app.use(answerError(pino({ level: 'silent' })))
    const server = app.listen(0, '127.0.0.1')
    await once(server, 'listening')
    const ask = () => fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/heavy`, { method: 'POST' })
    const first = await ask()
    expect([first.status, (await first.json()).error.code]).toEqual([503, 'too-heavy'])
    writeFileSync(
      program,
      `import { createServer } from 'node:http'
       import { parentPort, workerData } from 'node:worker_threads'
       createServer((_, response) => response.end('{"ok":true}')).listen(workerData.path, () => parentPort.postMessage('ready'))`,
    )
    expect(await (await ask()).json()).toEqual({ ok: true })
    server.close()
    await aside.end()
    rmSync(folder, { recursive: true })
  })
})
