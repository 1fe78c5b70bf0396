import { randomUUID } from 'node:crypto'
import type { LarderView } from '@vadose/contract/larder'
import type { LotView } from '@vadose/contract/lots'
import type { RoundView } from '@vadose/contract/round'
import type { MovePreview, StoresView } from '@vadose/contract/stores'
import { inPlainWords } from '@vadose/words'
import { beforeAll, describe, expect, it } from 'vitest'
import { garlicHarvest, practiceFile } from '../testing/fresh'

const at = practiceFile()
const act = (code: string, what: object) => at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...what })
const lotView = async (code: string) => (await at.client.get(`/lots/${code}`)).body as LotView
const stores = async () => (await at.client.get('/stores')).body as StoresView
const larder = async () => (await at.client.get('/larder')).body as LarderView
const weeks = async (n: number) => {
  for (let i = 0; i < n; i++) await at.client.post('/clock', { to: 'next-week' })
}

beforeAll(async () => {
  await at.client.post('/harvests', garlicHarvest(at.place('Veranda')))
  await weeks(4)
  await act('G26-1', {
    act: 'finish',
    neck: 'long',
    pack: 'net',
    placeId: at.place('North room'),
    weightG: 3600,
    pieces: 90,
  })
})

describe('the house', () => {
  it('shows each place with its air, its past month and its months to come', async () => {
    const view = await stores()
    expect(view.places.map((p) => p.name)).toEqual(['Garden', 'Veranda', 'Kitchen', 'North room', 'Cellar'])
    const cellar = view.places.find((p) => p.name === 'Cellar')!
    expect(cellar.cloud.length).toBeGreaterThan(60)
    expect(cellar.ahead.length).toBeGreaterThanOrEqual(6)
    const veranda = view.places.find((p) => p.name === 'Veranda')!
    const january = (of: typeof veranda) => of.ahead.find((m) => m.month === '2027-01')!
    expect(january(veranda).temperatureC).toBeLessThan(january(cellar).temperatureC)
  })

  it('previews a move before anything is written, and the move keeps the promise', async () => {
    const before = (await stores()).lots.find((l) => l.code === 'G26-1')!
    const asked = await at.client.get(`/stores/move?lot=G26-1&place=${at.place('Cellar')}`)
    const preview = (asked.body as MovePreview).keeps!
    expect(preview.from.nineInTenUntil).toEqual(before.keeps!.nineInTenUntil)
    expect(preview.to.endedBy).toMatch(/rooting|mould/)
    expect(preview.daysGained).toBeLessThan(-14)
    expect((await stores()).lots.find((l) => l.code === 'G26-1')!.place).toBe('North room')
    await act('G26-1', { act: 'move', placeId: at.place('Cellar') })
    const after = (await stores()).lots.find((l) => l.code === 'G26-1')!
    expect([after.place, after.keeps!.nineInTenUntil]).toEqual(['Cellar', preview.to.nineInTenUntil])
    await act('G26-1', { act: 'move', placeId: at.place('North room') })
  })

  it('refuses previews of nothing', async () => {
    expect((await at.client.get('/stores/move?lot=G26-9&place=x')).status).toBe(404)
    expect((await at.client.get('/stores/move')).body.error).toMatchObject({ code: 'invalid', field: 'lot' })
  })
})

describe('looking it over', () => {
  it('learns from what is found, and puts what was done into the ledger', async () => {
    await weeks(4)
    const before = await lotView('G26-1')
    const bad = [
      { fault: 'dry-rot', pieces: 3, action: 'bin' },
      { fault: 'sprouting', pieces: 2, action: 'eat' },
      { fault: 'hollow', pieces: 1, action: 'bin' },
    ]
    expect((await act('G26-1', { act: 'check', lookedAt: 30, faults: bad })).status).toBe(201)
    const after = await lotView('G26-1')
    expect(after.pieces).toBe(84)
    expect(after.keeping!.nineInTenUntil.p50 < before.keeping!.nineInTenUntil.p50).toBe(true)
    expect(after.checks.at(-1)).toMatchObject({ lookedAt: 30, bad: 6 })
    expect(after.events.slice(-4).map((e) => [e.kind, e.pieces])).toEqual([
      ['checked', 0],
      ['lost', -3],
      ['lost', -1],
      ['split-out', -2],
    ])
    // set aside is not eaten: a small lot of its own, with its days
    expect(await lotView('G26-4')).toMatchObject({ pieces: 2, stage: 'fresh', aside: { why: 'eat-first' } })
    expect(after.keeping!.nextCheckOn > (await at.client.get('/frame')).body.today).toBe(true)
  })

  it('trusts a clean look after sorting more than a dirty one', async () => {
    const dirty = (await lotView('G26-1')).keeping!
    await at.client.post('/clock', { to: 'next-morning' })
    await act('G26-1', { act: 'check', lookedAt: 84, faults: [] })
    const clean = (await lotView('G26-1')).keeping!
    expect(clean.soundNow).toBeGreaterThan(dirty.soundNow)
    expect(clean.soundNow).toBeGreaterThan(0.99)
  })
})

describe('the larder', () => {
  it('sums to the gram, leaves planting stock and what hangs out, and puts the doomed heap first', async () => {
    const view = await larder()
    expect(view.lots.map((l) => l.code)).toEqual(['G26-2', 'G26-4', 'G26-1'])
    const main = await lotView('G26-1')
    const aside = await lotView('G26-4')
    expect(view.weightG).toBe(main.weightG + 700 + aside.weightG)
    expect(view.lots[0]!.lossAvoidedPerKg).toBeGreaterThan(view.lots[1]!.lossAvoidedPerKg)
    expect(view.totals).toEqual([
      {
        crop: 'garlic-hardneck',
        name: null,
        otherG: 0,
        weightG: view.weightG,
        pieces: 84 + 12 + 2,
        uncountedG: 0,
        driedG: 0,
        frozenG: 0,
        overdueG: 0,
      },
    ])
  })

  it('learns the pace from what is used and says when it is gone', async () => {
    for (let i = 0; i < 3; i++) {
      await act('G26-1', { act: 'use', pieces: 4 })
      await weeks(1)
    }
    const [run] = (await larder()).runOut
    expect(run!.perWeekG!.p50).toBeGreaterThan(80)
    expect(run!.perWeekG!.p50).toBeLessThan(400)
    expect(run!.runsOutOn!.p10 <= run!.runsOutOn!.p50 && run!.runsOutOn!.p50 <= run!.runsOutOn!.p90).toBe(true)
  })

  it('gives, plants, loses and notes, each in words', async () => {
    await act('G26-1', { act: 'give', pieces: 2 })
    await act('G26-1', { act: 'plant', pieces: 6 })
    await act('G26-1', { act: 'lose', pieces: 1, cause: 'mice' })
    await act('G26-1', { act: 'note', text: 'the net by the door is the good one' })
    const says = (await lotView('G26-1')).events.slice(-4).map((e) => inPlainWords(e.says))
    expect(says[0]).toMatch(/^given away 2 heads/)
    expect(says[1]).toMatch(/^planted 6 heads/)
    expect(says[2]).toMatch(/^gone: 1 head, \d+ g \(mice\)/)
    expect(says[3]).toBe('the net by the door is the good one')
  })
})

describe('the round', () => {
  it('goes place by place in walking order, and shows other days', async () => {
    for (const on of ['yesterday', '2026-02-31', ''])
      expect((await at.client.get(`/round?on=${on}`)).body.error, on).toMatchObject({ code: 'invalid', field: 'on' })
    await act('G26-1', { act: 'check', lookedAt: 40, faults: [] })
    const round = (await at.client.get('/round')).body as RoundView
    const order = (await stores()).places.map((p) => p.name)
    const walked = round.places.map((p) => order.indexOf(p.name))
    expect(walked).toEqual([...walked].sort((a, b) => a - b))
    expect(round.weather.filter((d) => d.ahead)).toHaveLength(5)
    expect(round.eatFirst[0]!.code).toBe('G26-2')
    const next = round.nextJobs[0]!
    const then = (await at.client.get(`/round?on=${next.on}`)).body as RoundView
    expect(then.places.flatMap((p) => p.jobs)).toHaveLength(next.count)
  })

  it('has the week’s sums agree with the ledger', async () => {
    const before = ((await at.client.get('/round')).body as RoundView).lastWeek
    await act('G26-1', { act: 'use', weightG: 123 })
    const after = ((await at.client.get('/round')).body as RoundView).lastWeek
    expect(after.usedG - before.usedG).toBe(123)
  })

  it('draws the year: counted up to today, forecast after, never rising by itself', async () => {
    const { year, today } = (await at.client.get('/frame')).body
    const counted = year.stock.filter((p: { forecast: boolean }) => !p.forecast)
    const ahead = year.stock.filter((p: { forecast: boolean }) => p.forecast).map((p: { weightG: number }) => p.weightG)
    const lots = (await at.client.get('/lots')).body as { weightG: number }[]
    expect(counted.at(-1).weightG).toBe(lots.reduce((sum, l) => sum + l.weightG, 0))
    expect(ahead.every((g: number, i: number) => i === 0 || g <= ahead[i - 1])).toBe(true)
    expect(today > year.startsOn && today < year.endsOn).toBe(true)
  })
})

describe('the tag', () => {
  it('is an SVG with the code and no script, whatever the variety is called', async () => {
    await at.client.post(
      '/harvests',
      garlicHarvest(at.place('Veranda'), { harvestedOn: '2026-07-20', variety: '<script>alert(1)</script>' }),
    )
    const svg = (await at.client.get('/lots/G26-5/tag.svg')).body as unknown as string
    expect(svg).toContain('G26-5')
    expect(svg).not.toContain('<script')
    expect((await at.client.get('/lots/G26-99/tag.svg')).status).toBe(404)
  })
})
