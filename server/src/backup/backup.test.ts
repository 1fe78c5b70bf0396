import { randomUUID } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { postgresPrograms, runAs } from '../testing/database'
import { Client, freshDatabase, garlicHarvest, practiceHousehold, serveOver, type Served } from '../testing/fresh'
import { makeBackup, restoreBackup, type Cluster } from './backup'
import { readHeader } from './file'
import { Keeper } from './keeper'
import { kept, outdated } from './rotation'

const folder = mkdtempSync(join(tmpdir(), 'vadose-backup-'))
let database: Awaited<ReturnType<typeof freshDatabase>>
let served: Served
let client: Client
let cluster: Cluster
beforeAll(async () => {
  database = await freshDatabase()
  served = await serveOver(database)
  client = served.client()
  const { place } = await practiceHousehold(client)
  await client.post('/harvests', garlicHarvest(place('Veranda')))
  cluster = { ownerUrl: database.ownerUrl, bin: postgresPrograms(), migrations: 'server/migrations' }
})
afterAll(async () => {
  await served.close()
  rmSync(folder, { recursive: true })
})

const note = (text: string) => client.post('/lots/G26-1/acts', { requestId: randomUUID(), act: 'note', text })
const noted = async () =>
  (await runAs(database.ownerUrl, `select count(*)::int as n from lot_events where kind = 'noted'`))[0].n as number
const hash = async () => (await fetch(client.address('/file'))).headers.get('x-content-sha256')

describe('a backup of everything', () => {
  const path = join(folder, 'one.backup')

  it('is made while writes go on, restored with what came after kept aside, and is the same by hash', async () => {
    let going = true
    const writing = (async () => {
      while (going) await note('meanwhile')
    })()
    const header = await makeBackup(cluster, path)
    going = false
    await writing
    expect(header).toMatchObject({ households: ['Test House'], rows: { lots: 3, harvests: 1 } })
    await makeBackup(cluster, path)
    const [before, count] = [await hash(), await noted()]
    await note('after the backup')
    expect(await hash()).not.toBe(before)
    const { aside } = await restoreBackup(cluster, path)
    expect(await noted()).toBe(count)
    await expect.poll(async () => (await client.get('/health')).status, { timeout: 20_000 }).toBe(200)
    expect(await hash()).toBe(before)
    const old = new URL(database.ownerUrl)
    old.pathname = `/${aside}`
    expect((await runAs(old.href, `select count(*)::int as n from lot_events where kind = 'noted'`))[0].n).toBe(
      count + 1,
    )
    await runAs(database.ownerUrl, `drop database ${aside}`)
  })

  it('truncated, altered, of a newer Vadose or none at all, is refused with everything as it was', async () => {
    const whole = readFileSync(path)
    const before = await hash()
    const { header, start } = await readHeader(path)
    const flipped = Buffer.from(whole)
    flipped[start + 500]! ^= 1
    const newer = Buffer.concat([
      Buffer.from(`VADOSE BACKUP 1\n${JSON.stringify({ ...header, schema: 9999 })}\n`),
      whole.subarray(start),
    ])
    for (const [bytes, says] of [
      [whole.subarray(0, whole.length - 1), /cut off/],
      [whole.subarray(0, 40), /cut off/],
      [flipped, /altered/],
      [Buffer.concat([whole, Buffer.from('x')]), /altered/],
      [newer, /newer Vadose/],
      [Buffer.from('VADOSE BACKUP 2\n{}\n'), /newer Vadose/],
      [Buffer.from('VADOSE BACKUP 1\n{"a":\n'), /damaged/],
      [Buffer.from('something else'), /no backup/],
      [Buffer.alloc(0), /no backup/],
    ] as const) {
      const other = join(folder, 'other.backup')
      writeFileSync(other, bytes)
      await expect(restoreBackup(cluster, other)).rejects.toThrow(says)
    }
    await expect(restoreBackup(cluster, join(folder, 'nowhere'))).rejects.toThrow(/cannot be read/)
    expect(await hash()).toBe(before)
    const left = await runAs(database.ownerUrl, `select datname from pg_database where datname like '%restoring'`)
    expect(left).toEqual([])
  })

  it('leaves nothing half-made where it cannot be written', async () => {
    const files = readdirSync(folder)
    await expect(makeBackup({ ...cluster, bin: '/nowhere' }, join(folder, 'never.backup'))).rejects.toThrow(
      /cannot be started/,
    )
    expect(readdirSync(folder)).toEqual(files)
  })
})

describe('by itself', () => {
  it('one is made a day, and the state says the last', async () => {
    let now = Date.parse('2026-10-02T03:00:00Z')
    const keeper = new Keeper(cluster, join(folder, 'own'), pino({ level: 'silent' }), () => now)
    expect((await keeper.state()).last).toBeNull()
    await Promise.all([keeper.make(), keeper.make()])
    expect(readdirSync(join(folder, 'own'))).toEqual(['vadose-20261002-030000.backup'])
    now += 86_400_000
    await keeper.make()
    const state = await keeper.state()
    expect(state).toMatchObject({ last: { at: '2026-10-03T03:00:00.000Z' }, failed: null })
    expect(state.last!.bytes).toBeGreaterThan(1000)
    const broken = new Keeper(
      { ...cluster, bin: '/nowhere' },
      join(folder, 'own'),
      pino({ level: 'silent' }),
      () => now,
    )
    await expect(broken.make()).rejects.toThrow()
    expect(await broken.state()).toMatchObject({
      last: state.last,
      failed: expect.stringContaining('cannot be started'),
    })
  })

  it('seven days, four weeks and twelve months are kept of years of nights', () => {
    const night = (i: number) => ({ atMs: Date.UTC(2024, 0, 1, 3) + i * 86_400_000 })
    const all = Array.from({ length: 800 }, (_, i) => night(i))
    // night after night, as they are made
    let there: { atMs: number }[] = []
    for (const one of all) {
      there.push(one)
      const gone = new Set(outdated(there))
      there = there.filter((backup) => !gone.has(backup))
    }
    const ages = there.map(({ atMs }) => Math.round((night(799).atMs - atMs) / 86_400_000)).sort((a, b) => a - b)
    expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6])
    expect(there.length).toBeGreaterThanOrEqual(kept.days + kept.weeks - 1 + kept.months - 2)
    expect(there.length).toBeLessThanOrEqual(kept.days + kept.weeks + kept.months)
    // a year ago there is one, and no gap is longer than a month
    expect(ages.at(-1)).toBeGreaterThan(300)
    expect(Math.max(...ages.slice(1).map((age, i) => age - ages[i]!))).toBeLessThanOrEqual(31)
  })
})

describe('one open file of a household', () => {
  it('goes out and into a new household, the same by the hash of its canonical form', async () => {
    await client.post('/lots/G26-1/acts', { requestId: randomUUID(), act: 'weigh', weightG: 620, basis: 'bunch' })
    await client.post('/lots/G26-1/acts', { requestId: randomUUID(), act: 'weigh', weightG: 410, basis: 'bunch' })
    const event = ((await client.get('/lots/G26-1')).body.events as { id: number; kind: string }[]).findLast(
      (one) => one.kind === 'weighed',
    )!.id
    await client.post('/lots/G26-1/acts', { requestId: randomUUID(), act: 'strike', event, why: 'wrong bunch' })
    await client.put('/almanac/override', { crop: 'onion-storing', path: 'pieceG', value: 140, why: 'small here' })
    await client.put('/settings', { authorityName: 'The county', authorityUrl: 'https://county.example' })
    const places = (await client.get('/places')).body as { id: string }[]
    await client.post('/sensors', { name: 'Real one', placeId: places[0]!.id })
    await client.post('/places/' + places[1]!.id + '/readings', { temperatureC: 8.1, relativeHumidityPct: 88.4 })
    const out = await fetch(client.address('/file'))
    const text = await out.text()
    const other = served.client()
    const number = randomUUID()
    const bring = () =>
      fetch(`${client.base}/api/household-files`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'Idempotency-Key': number },
        body: text,
      })
    const [brought, again] = [await bring(), await bring()]
    const said = (await brought.json()) as { address: string }
    expect([brought.status, again.status]).toEqual([201, 201])
    expect(((await again.json()) as { address: string }).address).toBe(said.address)
    other.household = said.address
    const back = await fetch(other.address('/file'))
    expect(await back.text()).toBe(text)
    expect(back.headers.get('x-content-sha256')).toBe(out.headers.get('x-content-sha256'))
    // and it lives there: the same forecasts, from projections made anew
    expect((await other.get('/stores')).body.lots).toEqual((await client.get('/stores')).body.lots)
    const [mine, theirs] = [(await client.get('/line')).body, (await other.get('/line')).body]
    expect(theirs.lots).toEqual(mine.lots)
  })

  it('that is damaged is refused by name, and nothing of it is there', async () => {
    const file = (await (await fetch(client.address('/file'))).json()) as Record<'household', object> &
      Record<'events' | 'lots', object[]> & { readings: { at: number[] }[] }
    const [first] = file.readings
    const households = async () => ((await client.get('/households')).body as unknown[]).length
    const before = await households()
    for (const [part, field] of [
      [{ version: 2 }, 'version'],
      [{ household: { ...file['household'], timeZone: 'UTC+3' } }, 'household/timeZone'],
      [{ events: file['events'].slice(1) }, 'events'],
      [{ lots: file['lots'].map((lot: object) => ({ ...lot, crop: 'moon-melon' })) }, 'lots'],
      [{ readings: [{ ...first, at: [...first!.at, 1] }] }, 'readings'],
      [{ lots: [] }, undefined],
      [{ harvests: 'none' }, 'harvests'],
    ] as const) {
      const { status, body } = await client.send('POST', '/household-files', { ...file, ...part })
      expect([field, status, body.error?.field]).toEqual([field, 400, field])
    }
    expect(await households()).toBe(before)
  })
})

it('a database of a newer Vadose is refused in one sentence', async () => {
  const other = await freshDatabase()
  await runAs(other.ownerUrl, `insert into schema_version (version, name) values (9999, 'tomorrow')`)
  const { migrate } = await import('../migrate')
  await expect(migrate(other.ownerUrl, 'server/migrations')).rejects.toThrow(
    /newer Vadose \(schema 9999.*nothing was changed\.$/,
  )
  await other.drop()
})

it('a migration that was cut off leaves nothing, and goes on', async () => {
  const other = await freshDatabase('cut', true)
  const { migrate } = await import('../migrate')
  const watcher = new pg.Client({ connectionString: other.ownerUrl })
  await watcher.connect()
  const cutOff = async () => {
    for (let cut = false; !cut;) {
      const { rows } = await watcher.query(
        `select pg_terminate_backend(pid) from pg_stat_activity
         where datname = current_database() and pid <> pg_backend_pid() and query like '%create table%'`,
      )
      cut = rows.length > 0
    }
  }
  await Promise.all([
    expect(migrate(other.ownerUrl, 'server/migrations')).rejects.toThrow(/could not be brought up to date/),
    cutOff(),
  ])
  await watcher.end()
  expect(await migrate(other.ownerUrl, 'server/migrations')).toBeGreaterThanOrEqual(10)
  await other.drop()
})
