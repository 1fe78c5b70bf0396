import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { describe, expect, it } from 'vitest'
import { openPool } from '../database'
import { forgetAnswersNow } from '../households'
import { garlicHarvest, practiceFile, practiceHousehold } from '../testing/fresh'

const at = practiceFile()

const sql = async <T extends pg.QueryResultRow>(text: string, values: unknown[] = []) => {
  const owner = new pg.Client({ connectionString: at.served.url })
  await owner.connect()
  try {
    return (await owner.query<T>(text, values)).rows
  } finally {
    await owner.end()
  }
}
const count = async (table: string) => Number((await sql<{ n: string }>(`select count(*) as n from ${table}`))[0]!.n)
const act = (code: string, what: object) => at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...what })

describe('a harvest', () => {
  it('becomes lots whose events add up to it, with codes that fit on a tag', async () => {
    const { status, body } = await at.client.post('/harvests', garlicHarvest(at.place('Veranda')))
    expect(status).toBe(201)
    expect(body.lots).toEqual([
      { code: 'G26-1', heap: 'sound', weightG: 4900 },
      { code: 'G26-2', heap: 'nicked', weightG: 700 },
      { code: 'G26-3', heap: 'planting', weightG: 400 },
    ])
    expect(await sql('select sum(weight_g)::int as g from lot_events')).toEqual([{ g: 6000 }])
    const round = (await at.client.get('/round')).body
    const kinds = round.places.flatMap((p: { jobs: { kind: string }[] }) => p.jobs.map((j) => j.kind))
    expect(kinds).toContain('weigh')
  })

  it('lifted on an earlier day has hung since then; older than a year is a slip', async () => {
    const early = await at.client.post('/harvests', garlicHarvest(at.place('Veranda'), { harvestedOn: '2026-07-05' }))
    const { code } = early.body.lots[0]
    const lot = (await at.client.get(`/lots/${code}`)).body
    expect(lot.events[0].on).toBe('2026-07-05')
    expect(lot.curing.progress).toBeGreaterThan(0.1)
    const slip = await at.client.post('/harvests', garlicHarvest(at.place('Veranda'), { harvestedOn: '2024-07-05' }))
    expect([slip.status, slip.body.error.field]).toEqual([400, 'harvestedOn'])
  })

  it('sent twice happens once, and answers the same', async () => {
    const harvest = garlicHarvest(at.place('Veranda'))
    const first = await at.client.post('/harvests', harvest)
    const before = await count('lot_events')
    const second = await at.client.post('/harvests', harvest)
    expect(second.body).toEqual(first.body)
    expect(await count('lot_events')).toBe(before)
  })

  it('brought in by ten at once gets ten different codes', async () => {
    const onion = () => ({
      ...garlicHarvest(at.place('Veranda')),
      crop: 'onion-storing',
      totalG: 1000,
      heaps: [{ heap: 'sound', weightG: 1000, placeId: at.place('Veranda') }],
    })
    const answers = await Promise.all(Array.from({ length: 10 }, () => at.client.post('/harvests', onion())))
    const codes = answers.map((a) => a.body.lots[0].code)
    expect(new Set(codes).size).toBe(10)
  })
})

describe('bad input', () => {
  const refusedHarvests: [string, Record<string, unknown>, RegExp][] = [
    ['negative weight', { totalG: -5 }, /totalG/],
    ['a million kilos', { totalG: 1_000_000_000 }, /totalG/],
    ['half a gram', { totalG: 5999.5 }, /totalG/],
    ['unknown crop', { crop: 'moon-melon' }, /no crop/],
    ['a crop called constructor', { crop: 'constructor' }, /no crop/],
    ['heaps that do not add up', { totalG: 6001 }, /1 g lighter/],
    ['a day ahead', { harvestedOn: '2026-07-13' }, /ahead of today/],
    ['a day that is none', { harvestedOn: '2026-02-30' }, /harvestedOn/],
    ['no heaps', { heaps: [] }, /heaps/],
    ['a place of nobody', { heaps: [{ heap: 'sound', weightG: 6000, placeId: randomUUID() }] }, /no such place/],
    ['an unknown field', { surprise: 1 }, /surprise/],
    ['a request number that is none', { requestId: 'x' }, /requestId/],
  ]
  it.each(refusedHarvests)('%s gets a 400 in the error shape and writes nothing', async (_name, over, says) => {
    const before = [await count('lot_events'), await count('harvests'), await count('lots'), await count('requests')]
    const { status, body } = await at.client.post('/harvests', garlicHarvest(at.place('Veranda'), over))
    expect(status).toBe(400)
    expect(body).toEqual({
      error: expect.objectContaining({ code: expect.any(String), message: expect.stringMatching(says) }),
    })
    expect([await count('lot_events'), await count('harvests'), await count('lots'), await count('requests')]).toEqual(
      before,
    )
  })

  it('broken JSON, 10 MB bodies, odd paths and wrong shapes are refused in the same shape', async () => {
    const before = await count('lot_events')
    const broken = await at.client.send('POST', '/harvests', '{"crop": ')
    expect([broken.status, broken.body.error.code]).toEqual([400, 'invalid'])
    const large = await at.client.send('POST', '/harvests', JSON.stringify({ x: 'y'.repeat(10_000_000) }))
    expect([large.status, large.body.error.code]).toEqual([413, 'too-large'])
    for (const body of ['null', '[]', '7', '"text"', '']) {
      const answer = await at.client.send('POST', '/harvests', body)
      expect(answer.status).toBe(400)
      expect(answer.body.error.message).toBeTruthy()
    }
    expect((await at.client.get('/nothing')).body.error.code).toBe('not-found')
    expect((await at.client.get('/lots/..%2F..%2Fetc')).status).toBe(404)
    expect((await at.client.get('/lots/%E0%A4%A')).status).toBeGreaterThanOrEqual(400)
    expect((await at.client.get('/lots/G99-1')).status).toBe(404)
    expect(await count('lot_events')).toBe(before)
  })

  it.each([
    ['more than there is', { act: 'use', pieces: 9999 }, 'not-enough'],
    ['nothing named', { act: 'use' }, 'invalid'],
    ['both named', { act: 'use', pieces: 1, weightG: 1 }, 'invalid'],
    ['a negative', { act: 'lose', pieces: -1, cause: 'mice' }, 'invalid'],
    ['an act that is none', { act: 'explode' }, 'invalid'],
    ['an inherited name', { act: 'toString' }, 'invalid'],
    ['a place of nobody', { act: 'move', placeId: randomUUID() }, 'invalid'],
    [
      'more bad than looked at',
      { act: 'check', lookedAt: 1, faults: [{ fault: 'soft', pieces: 2, action: 'bin' }] },
      'invalid',
    ],
    [
      'a fault of no crop',
      { act: 'check', lookedAt: 3, faults: [{ fault: 'moonrot', pieces: 1, action: 'bin' }] },
      'invalid',
    ],
  ])('an act naming %s is refused', async (_name, what, code) => {
    const before = await count('lot_events')
    const { status, body } = await act('G26-2', what)
    expect([status, body.error.code]).toEqual([400, code])
    expect(await count('lot_events')).toBe(before)
  })

  it('a surprise is asked about and taken when sure', async () => {
    const weighed = await act('G26-1', { act: 'weigh', weightG: 60_000, basis: 'lot' })
    expect([weighed.status, weighed.body.error.code]).toEqual([400, 'surprise'])
    expect((await act('G26-3', { act: 'weigh', weightG: 900, basis: 'lot', sure: true })).status).toBe(201)
    const back = await act('G26-3', { act: 'correct', weightG: 400, why: 'read the wrong scale' })
    expect(back.body.lot.weightG).toBe(400)
  })
})

describe('the ledger in the database', () => {
  it('is never changed or removed, by the application or by the owner', async () => {
    await expect(sql('update lot_events set weight_g = 1')).rejects.toThrow(/never changed/)
    await expect(sql('delete from lot_events')).rejects.toThrow(/never changed/)
    await expect(sql('set role vadose_app; update lot_events set weight_g = 1')).rejects.toThrow(
      /permission denied|never changed/,
    )
  })

  it('has a part’s first entry before those of the lot it was taken from, which is told as it was just before', async () => {
    const { body } = await at.client.post('/harvests', garlicHarvest(at.place('Veranda')))
    const { code } = body.lots[0]
    expect((await act(code, { act: 'note', text: 'known by heart' })).status).toBe(201)
    for (const _ of [1, 2]) {
      const moved = await act(code, { act: 'move', placeId: at.place('Kitchen'), weightG: 300 })
      const [part] = moved.body.made as string[]
      const [order] = await sql<{ first: number; last: number }>(
        `select min(e.id) filter (where l.code = $2) as first, max(e.id) filter (where l.code = $1) as last
         from lot_events e join lots l on l.household_id = e.household_id and l.id = e.lot_id where l.code in ($1, $2)`,
        [code, part],
      )
      expect(Number(order!.first)).toBeLessThan(Number(order!.last))
      expect(moved.body.entry).toBe(Number(order!.last))
    }
  })
  it('does not let a lot fall below nothing, even past the application', async () => {
    await expect(
      sql(
        `insert into lot_events (household_id, lot_id, kind, at, weight_g)
         select household_id, id, 'used', now(), -99999999 from lots limit 1`,
      ),
    ).rejects.toThrow(/below nothing/)
  })

  it('takes the last head once when two hands reach for it', async () => {
    const answers = await Promise.all(Array.from({ length: 16 }, () => act('G26-2', { act: 'use', pieces: 1 })))
    expect(answers.filter((a) => a.status === 201)).toHaveLength(12)
    expect(answers.filter((a) => a.status === 400)).toHaveLength(4)
    const row = (await at.client.get('/lots/G26-2')).body
    expect([row.weightG, row.pieces, row.stage]).toEqual([0, 0, 'gone'])
  })
})

describe('requests', () => {
  it('are forgotten after a month, and not before', async () => {
    const age = (days: number) => sql(`update requests set recorded_at = now() - $1 * interval '1 day'`, [days])
    const pool = openPool(at.served.url)
    const before = await count('requests')
    expect(before).toBeGreaterThan(3)
    // a clock set wrong makes the newest seem old: they stay all the same
    await age(400)
    await forgetAnswersNow(pool)
    expect(await count('requests')).toBe(before)
    await age(29)
    await sql(
      `insert into requests (household_id, id) select h.id, gen_random_uuid() from households h, generate_series(1, 1000)`,
    )
    await forgetAnswersNow(pool)
    expect(await count(`requests where recorded_at < now() - interval '1 day'`)).toBe(before)
    await sql(`update requests set recorded_at = recorded_at - interval '2 days'`)
    await forgetAnswersNow(pool)
    expect(await count(`requests where recorded_at < now() - interval '3 days'`)).toBe(0)
    await pool.end()
  })
})

describe('households apart', () => {
  it('see nothing of one another, through the server or the database', async () => {
    const stranger = at.served.client()
    await practiceHousehold(stranger, '2026-07-12', 'Other House')
    expect((await stranger.get('/lots')).body).toEqual([])
    expect((await stranger.get('/lots/G26-1')).status).toBe(404)
    const theft = await stranger.post('/lots/G26-1/acts', { requestId: randomUUID(), act: 'use', weightG: 10 })
    expect(theft.status).toBe(404)
    const rows = await at.served.pool.connect().then(async (db) => {
      try {
        await db.query('set role vadose_app')
        await db.query(`select set_config('app.household_id', $1, false)`, [randomUUID()])
        return (
          await db.query('select 1 from lot_events union all select 1 from places union all select 1 from readings')
        ).rows
      } finally {
        db.release(true)
      }
    })
    expect(rows).toEqual([])
  })

  it('cannot be joined across: keys lead with the household', async () => {
    await expect(
      sql(
        `insert into lot_events (household_id, lot_id, kind, at, weight_g)
         select h.id, l.id, 'noted', now(), 0 from households h, lots l where h.id <> l.household_id limit 1`,
      ),
    ).rejects.toThrow(/foreign key/)
  })
})

describe('only from here', () => {
  it('turns away foreign names and foreign pages', async () => {
    const foreign = await at.client.send('POST', '/clock', { to: 'next-week' }, { Origin: 'https://elsewhere.example' })
    expect([foreign.status, foreign.body.error.code]).toEqual([403, 'forbidden'])
  })
  it('sends a strict policy with every page', async () => {
    const { headers } = await at.client.get('/health')
    expect(headers.get('content-security-policy')).toContain("default-src 'none'")
    expect(headers.get('content-security-policy')).not.toContain('unsafe')
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('x-powered-by')).toBeNull()
  })
})
