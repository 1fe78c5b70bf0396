import { randomUUID } from 'node:crypto'
import { gzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { garlicHarvest, practiceFile } from './testing/fresh'

const at = practiceFile()
const screens = ['/frame', '/round', '/line', '/line-advice', '/stores', '/larder', '/lots', '/exports/jobs.ics']
async function allOpen(): Promise<void> {
  const lots = (await at.client.get('/lots')).body as { code: string }[]
  for (const path of [...screens, ...lots.map(({ code }) => `/lots/${code}`)]) {
    const answer = await fetch(at.client.address(path))
    expect([path, answer.status]).toEqual([path, 200])
  }
}
const act = (code: string, what: object) => at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...what })

describe('figures that cannot well be', () => {
  it('are asked about, by crop, and kept all the same when they are meant', async () => {
    const pick = { crop: 'currant', weightG: 1_500_000 }
    const asked = await at.client.post('/picks', { requestId: randomUUID(), ...pick })
    expect([asked.status, asked.body.error.code]).toEqual([400, 'surprise'])
    expect(asked.body.error.message).toMatch(/^1.5 t of .*currants\?/)
    expect((await at.client.post('/picks', { requestId: randomUUID(), ...pick, sure: true })).status).toBe(201)
    await allOpen()
    const harvest = garlicHarvest(at.place('Veranda'), {
      totalG: 400_000,
      heaps: [{ heap: 'sound', weightG: 400_000, placeId: at.place('Veranda') }],
    })
    expect((await at.client.post('/harvests', harvest)).body.error.code).toBe('surprise')
    expect((await at.client.post('/harvests', { ...harvest, sure: true })).status).toBe(201)
    await allOpen()
  })

  it('more seeds than anybody counts are taken down, and every screen opens', async () => {
    const seeds = {
      requestId: randomUUID(),
      crop: 'sunflower',
      harvestedOn: '2026-07-12',
      totalG: 60_000,
      heaps: [{ heap: 'sound', weightG: 60_000, placeId: at.place('Veranda') }],
      sure: true,
    }
    const { status, body } = await at.client.post('/harvests', seeds)
    expect([status, body.error]).toEqual([201, undefined])
    const code = body.lots[0].code
    const down = await act(code, {
      act: 'finish',
      pack: 'jar',
      placeId: at.place('Cellar'),
      weightG: 60_000,
      sure: true,
    })
    expect([down.status, down.body.error]).toEqual([201, undefined])
    await allOpen()
  })

  it('a correction to nothing leaves no pieces behind', async () => {
    await at.client.post('/harvests', garlicHarvest(at.place('Veranda'), { harvestedOn: '2026-07-11' }))
    const nicked = ((await at.client.get('/lots')).body as { code: string; heap: string }[]).find(
      (lot) => lot.heap === 'nicked',
    )!
    const gone = await act(nicked.code, { act: 'correct', weightG: 0, why: 'was never there' })
    expect([gone.status, gone.body.lot?.stage, gone.body.lot?.pieces ?? 0]).toEqual([201, 'gone', 0])
    await allOpen()
  })

  it('three weights at one instant are taken as they come', async () => {
    const lot = ((await at.client.get('/lots')).body as { code: string; stage: string; weightG: number }[]).find(
      (one) => one.stage === 'drying' && one.weightG < 10_000,
    )!
    for (const weightG of [610, 480, 555]) {
      expect((await act(lot.code, { act: 'weigh', weightG, basis: 'bunch', sure: true })).status).toBe(201)
    }
    await allOpen()
  })

  it('a lot whose record makes no sense says so on its own line, and nothing else goes with it', async () => {
    const { rows } = await at.served.pool.query<{ household: string; lot: string; code: string }>(
      `select l.household_id as household, l.id as lot, l.code from lots l
       join lot_now n on n.household_id = l.household_id and n.lot_id = l.id
       where l.heap = 'sound' and n.stage = 'drying' and l.crop = 'garlic-hardneck' order by l.code desc limit 1`,
    )
    const { household, lot, code } = rows[0]!
    // an airflow that no version of the program knows
    await at.served.pool.query(
      `insert into lot_events (household_id, lot_id, kind, at, details)
       values ($1, $2, 'fan', '2026-07-12T06:00Z', '{"airflow":"gale"}')`,
      [household, lot],
    )
    await at.served.pool.query('update households set revision = revision + 1 where id = $1', [household])
    await allOpen()
    const line = (await at.client.get('/line')).body
    expect(line.troubled.map((one: { code: string }) => one.code)).toEqual([code])
    expect(line.lots.length).toBeGreaterThan(0)
    expect((await at.client.get('/round')).body.troubled[0].trouble).toMatchObject({ says: expect.any(String) })
    // and there is a way back
    expect((await act(code, { act: 'lose', weightG: 1, cause: 'tried' })).status).toBe(201)
    expect((await act(code, { act: 'correct', weightG: 0, why: 'nonsense' })).status).toBe(201)
    expect((await at.client.get('/line')).body.troubled).toEqual([])
  })
})

describe('what no program of ours would send', () => {
  const raw = (path: string, body: BodyInit, headers: Record<string, string> = {}) =>
    fetch(at.client.address(path), {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', ...headers },
      body,
    })
  const note = (text: string) => `{"requestId":"${randomUUID()}","act":"note","text":${text}}`

  it.each([
    ['an encoding that is none', () => raw('/picks', '{}', { 'Content-Encoding': 'elvish' })],
    ['gzip that is none', () => raw('/picks', '{}', { 'Content-Encoding': 'gzip' })],
    ['half a surrogate pair', () => raw('/lots/G26-1/acts', note('"\\ud800"'))],
    ['a zero byte', () => raw('/lots/G26-1/acts', note('"a\\u0000b"'))],
    ['a URN for a UUID', () => raw('/picks', `{"requestId":"urn:uuid:${randomUUID()}","crop":"currant","weightG":5}`)],
    ['brackets without end', () => raw('/picks', '['.repeat(100_000))],
    ['a thousand levels', () => raw('/lots/G26-1/acts', note(`${'['.repeat(1000)}${']'.repeat(1000)}`))],
    ['megabytes of brackets', () => raw('/bench/cure', '['.repeat(7_000_000))],
    ['a number beyond numbers', () => raw('/bench/air', '{"temperatureC":1e999,"relativeHumidityPct":50}')],
    ['a day that is none', () => fetch(at.client.address('/exports/readings.csv?place=x&from=2026-02-30'))],
    [
      'the year nine thousand',
      () => fetch(at.client.address(`/exports/readings.csv?place=${at.place('Cellar')}&from=9999-12-31`)),
    ],
    ['a round in the year 0', () => fetch(at.client.address('/round?on=0000-00-00'))],
    ['a name twice in a query', () => fetch(at.client.address('/round?on=2026-07-12&on=2026-07-13'))],
    [
      'a household from antiquity',
      () => raw('/households', '{"name":"Old","clock":"practice","startsOn":"0026-05-01"}'),
    ],
    ['a household to come', () => raw('/households', '{"name":"Far","clock":"practice","startsOn":"9999-12-31"}')],
    [
      'a zone that POSIX reads the other way',
      () => raw('/households', '{"name":"Off","clock":"real","timeZone":"UTC+3"}'),
    ],
    ['an address that cannot be read', () => fetch(at.client.address('/lots/%E0%A4%A'))],
  ])('%s is refused in the one shape', async (_what, send) => {
    const answer = await send()
    expect(answer.status).toBeGreaterThanOrEqual(400)
    expect(answer.status).toBeLessThan(500)
    expect(((await answer.json()) as { error: { message: string } }).error.message).toMatch(/\w.*\.$/)
  })

  it('a part of an older page is not there any more', async () => {
    expect((await fetch(new URL('/assets/TodayView-older.js', at.client.address('/')))).status).toBe(404)
  })

  it('a compressed body is read', async () => {
    const body = gzipSync(JSON.stringify({ requestId: randomUUID(), crop: 'raspberry', weightG: 500 }))
    expect((await raw('/picks', new Uint8Array(body), { 'Content-Encoding': 'gzip' })).status).toBe(201)
  })

  it('numbers too small for the columns they go into are nothing', async () => {
    const path = `/places/${at.place('Kitchen')}/readings`
    expect((await at.client.post(path, { temperatureC: 1e-310, relativeHumidityPct: 5e-324 })).status).toBe(201)
    const harvest = garlicHarvest(at.place('Veranda'), { signShare: 1e-320 })
    expect((await at.client.post('/harvests', harvest)).status).toBe(201)
    await allOpen()
  })

  it('headings of two thousand letters that are three bytes each are kept', async () => {
    const { status, body } = await at.client.post('/readings/imports', {
      requestId: randomUUID(),
      placeId: at.place('Cellar'),
      fileName: '温度.csv',
      at: [1_783_000_000],
      temperatureC: [8],
      relativeHumidityPct: [90],
      headings: Array.from({ length: 400 }, (_, i) =>
        String.fromCharCode(0x4e00 + ((i * 7919) % 20_000)).repeat(5),
      ).join(''),
      mapping: { time: 0, order: 'year-first', zone: 'UTC', temperature: 1, unit: 'C', humidity: 2 },
    })
    expect([status, body.error]).toEqual([201, undefined])
  })
})

describe('a household', () => {
  it('is renamed, and removed by typing its name', async () => {
    const own = at.served.client()
    await own.post('/households', { name: 'Passing House', clock: 'practice', startsOn: '2026-07-12', timeZone: 'UTC' })
    const named = await own.put('/settings', { name: ' Stone House ' })
    expect(named.body.household).toMatchObject({ name: 'Stone House', address: 'passing-house' })
    expect((await own.put('/settings', { name: '  ' })).status).toBe(400)
    const remove = (name: string) => own.send('DELETE', '', { name })
    expect((await remove('Passing House')).body.error.field).toBe('name')
    expect((await own.get('/frame')).status).toBe(200)
    const number = randomUUID()
    const once = () => own.send('DELETE', '', { name: 'Stone House' }, { 'Idempotency-Key': number })
    const [first, again] = [await once(), await once()]
    expect([first.status, first.body, again.status, again.body]).toEqual([200, { ok: true }, 200, { ok: true }])
    expect((await own.get('/frame')).body.error.code).toBe('no-such-household')
    expect((await remove('Stone House')).status).toBe(404)
  })
})
