import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { hands, practiceFile } from '../testing/fresh'

const at = practiceFile('2026-10-02')
const { post, bring, lot } = hands(at, '2026-10-01')
const dish = (over: object) =>
  post('/kitchen/dishes', {
    name: 'Braised red cabbage',
    form: 'frozen',
    adds: [],
    pieces: 11,
    unit: 'portion',
    placeId: at.place('Cellar'),
    ...over,
  })
/** grams of all lots */
const sum = async () => {
  const { rows } = await at.served.pool.query('select sum(weight_g)::int as g from lot_now')
  return rows[0].g as number
}

describe('a dish', () => {
  it('takes from several lots and is one, that knows its beds and is undone with all it took', async () => {
    const cabbage = await bring('cabbage-red', 6000, 3, { bed: 'Bed 4', variety: 'Dusk' })
    const apples = await bring('apple-late', 20_000, 130)
    const before = await sum()
    const made = await dish({
      takes: [
        { code: cabbage, all: true },
        { code: apples, weightG: 900 },
      ],
      adds: [{ name: 'wine', weightG: 500 }],
      weightG: 6100,
      wasteG: 800,
      prepared: 'braised',
    })
    expect(made.status).toBe(201)
    expect(made.body).toMatchObject({ inG: 7400, goneG: 1300 })
    const { code } = made.body.lot
    expect(made.body.lot).toMatchObject({
      crop: 'cabbage-red',
      name: 'Braised red cabbage',
      unit: 'portion',
      pieces: 11,
      form: 'frozen',
    })
    // 500 g of wine came in, 1,300 g went as water and trimmings
    expect(await sum()).toBe(before + 500 - 1300)
    expect((await lot(cabbage)).stage).toBe('gone')
    expect((await lot(apples)).weightG).toBe(19_100)
    const { parts } = (await at.client.get(`/lots/${code}/made-of`)).body
    expect(parts).toMatchObject([
      { code: cabbage, bed: 'Bed 4', variety: 'Dusk', weightG: 6000, depth: 0 },
      { code: apples, weightG: 900 },
      { code: null, name: 'wine', weightG: 500 },
    ])
    // a portion eaten, then the evening struck: refused until the portion is
    const undone = await post(`/lots/${code}/undo`, { event: made.body.entry })
    expect(undone.body.undone.sort()).toEqual([apples, cabbage, code].sort())
    expect(await sum()).toBe(before)
    expect((await lot(cabbage)).weightG).toBe(6000)
  })

  it('is remembered as a recipe, and scales to what there is', async () => {
    const cabbage = await bring('cabbage-red', 3000, 2)
    const made = await dish({
      name: 'Slaw',
      form: 'brined',
      takes: [{ code: cabbage, weightG: 2000 }],
      weightG: 1900,
      pieces: 4,
      unit: 'jar',
    })
    expect(made.status).toBe(201)
    const slaw = (await at.client.get('/kitchen/recipes')).body.find((r: { name: string }) => r.name === 'Slaw')
    expect(slaw).toMatchObject({ pieces: 4, unit: 'jar', takes: [{ crop: 'cabbage-red', weightG: 2000 }] })
    expect(slaw.enoughFor).toBeGreaterThan(0.4)
  })

  it('tops up an open bag, and what was taken for it, put right, follows in the bag', async () => {
    const onions = await bring('onion-storing', 4000)
    const taken = (g: number, over: object = {}) =>
      dish({
        name: 'Chopped onion',
        takes: [{ code: onions, weightG: g }],
        weightG: g - 100,
        unit: 'bag',
        pieces: 2,
        ...over,
      })
    const { code } = (await taken(1000)).body.lot
    const more = await taken(600, { into: code, pieces: 1 })
    expect(more.status).toBe(201)
    expect(more.body.lot).toMatchObject({ code, pieces: 3, weightG: 1400 })
    const entries = (await lot(onions)).events as { id: number; kind: string; weightG: number }[]
    const out = entries.filter(({ kind }) => kind === 'split-out')
    expect(out.map(({ weightG }) => weightG).sort()).toEqual([-1000, -600].sort())
    expect(
      (await dish({ takes: [{ code: onions, weightG: 50 }], into: code, form: 'jarred', unit: 'jar' })).body.error
        .message,
    ).toMatch(/not jarred/)
    expect((await dish({ takes: [{ code, weightG: 50 }], into: code })).body.error.message).toMatch(
      /not topped up from itself/,
    )
  })

  it('made of bought things alone is a thing of the pantry; nonsense is refused and nothing written', async () => {
    const before = await sum()
    const stock = await dish({
      name: 'Bone broth',
      form: 'cooked',
      takes: [],
      adds: [
        { name: 'bones', weightG: 2000 },
        { name: 'water', weightG: 4000 },
      ],
      weightG: 3500,
      pieces: 7,
    })
    expect(stock.body.lot).toMatchObject({ crop: 'pantry', name: 'Bone broth', form: 'cooked' })
    const keeping = (await lot(stock.body.lot.code)).keeping
    expect(keeping.nineInTenUntil.p50 <= '2026-10-07').toBe(true)
    const onions = await bring('onion-storing', 500)
    const there = await sum()
    for (const wrong of [
      { takes: [{ code: onions, weightG: 600 }] },
      { takes: [{ code: 'Z26-9', weightG: 1 }] },
      { takes: [{ code: onions, weightG: 100 }], weightG: 500 },
      { takes: [{ code: onions, weightG: 100 }], placeId: randomUUID() },
      { takes: [] },
    ]) {
      const refused = await dish(wrong)
      expect([400, 404, 409]).toContain(refused.status)
    }
    expect(await sum()).toBe(there)
    expect(there).toBe(before + 3500 + 500)
  })
})

describe('stock', () => {
  const stock = (...lines: object[]) =>
    post('/larder/stock', {
      lines: lines.map((line) => ({ form: 'fresh', source: 'grown', placeId: at.place('Cellar'), ...line })),
    })
  it('is put on the shelf line by line, each undone by itself', async () => {
    const { body, status } = await stock(
      {
        crop: 'plum',
        form: 'jarred',
        unit: 'jar',
        pieces: 12,
        size: '0.5 L',
        on: '2025-09-01',
        recipe: 'Plums in syrup',
        processed: 'as tested',
      },
      { crop: 'onion-storing', unit: 'net', pieces: 3, weightG: 4000 },
      { crop: 'pantry', name: 'Sunflower oil', source: 'bought', unit: 'bottle', pieces: 2, bestBefore: '2027-05-01' },
    )
    expect(status).toBe(201)
    const [plums, onions, oil] = body.lots.map(({ code }: { code: string }) => code)
    expect(await lot(plums)).toMatchObject({
      form: 'jarred',
      weightG: 6000,
      guessed: { weight: true },
      pieces: 12,
      size: '0.5 L',
    })
    // a net is looked over onion by onion
    expect((await lot(onions)).keeping.lookAt).toBeGreaterThan(3)
    const { keeping } = await lot(oil)
    expect(keeping.nineInTenUntil.p50 > '2027-02-01' && keeping.nineInTenUntil.p50 < '2027-08-01').toBe(true)
    const last = (await lot(oil)).events.at(-1) as { id: number }
    expect((await post(`/lots/${oil}/undo`, { event: last.id })).body.undone).toEqual([oil])
    expect((await lot(plums)).pieces).toBe(12)
  })
  it('may be years old: what stands on a shelf is older than a harvest can be', async () => {
    const { body, status } = await stock(
      { crop: 'plum', form: 'jarred', unit: 'jar', pieces: 12, on: '2024-09-01' },
      { crop: 'pear', form: 'jarred', unit: 'jar', pieces: 2, on: '2011-09-01' },
    )
    expect(status).toBe(201)
    expect(await lot(body.lots[0].code)).toMatchObject({ broughtOn: '2024-09-01', pieces: 12 })
    const slip = await stock({ crop: 'plum', form: 'jarred', unit: 'jar', pieces: 12, on: '1924-09-01' })
    expect(slip.body.error.message).toMatch(/30 years back; check the year/)
  })
  it('one jar opened stands apart with its days, the others are one fewer', async () => {
    const { body } = await stock({
      crop: 'plum',
      name: 'Plum jam',
      form: 'jarred',
      unit: 'jar',
      pieces: 4,
      on: '2026-08-01',
    })
    const [{ code }] = body.lots
    const opened = await post(`/lots/${code}/acts`, { act: 'open' })
    expect(opened.status).toBe(201)
    const [open] = opened.body.made
    expect(await lot(open)).toMatchObject({
      name: 'Plum jam',
      pieces: 1,
      aside: { why: 'opened', until: '2026-11-01' },
    })
    expect((await lot(code)).pieces).toBe(3)
    expect((await post(`/lots/${open}/acts`, { act: 'open' })).status).toBe(400)
  })
  it('lines that cannot be are refused, and none of the others is kept', async () => {
    const before = await sum()
    for (const wrong of [
      { crop: 'plum' },
      { crop: 'moonfruit', pieces: 1 },
      { crop: 'plum', pieces: 1, on: '2027-01-01' },
      { crop: 'plum', pieces: 1, bestBefore: '2020-01-01' },
      { crop: 'plum', pieces: 1, on: '1926-08-01' },
      { crop: 'plum', pieces: 1, placeId: randomUUID() },
    ]) {
      expect([400, 404]).toContain((await stock({ crop: 'plum', pieces: 5 }, wrong)).status)
    }
    expect(await sum()).toBe(before)
  })
})

describe('seed kept for sowing', () => {
  it('says what will come up spring by spring, better once it was tested', async () => {
    const code = await bring('bean-drying', 2000, undefined, {
      heaps: [{ heap: 'sowing', weightG: 2000, placeId: at.place('Veranda') }],
    })
    await post(`/lots/${code}/acts`, {
      act: 'finish',
      pack: 'jar',
      placeId: at.place('Cellar'),
      weightG: 1600,
      sure: true,
    })
    const fresh = (await lot(code)).seed
    expect(fresh).toMatchObject({ species: 'cowpea', kin: true, test: null })
    expect(fresh.springs.map(({ on }: { on: string }) => on)[0]).toBe('2027-03-01')
    const pcts = fresh.springs.map(({ pct }: { pct: number }) => pct)
    expect([...pcts].sort((a, b) => b - a)).toEqual(pcts)
    expect((await post(`/lots/${code}/acts`, { act: 'germinate', sown: 50, came: 60 })).status).toBe(400)
    await post(`/lots/${code}/acts`, { act: 'germinate', sown: 50, came: 30 })
    const tested = (await lot(code)).seed
    expect(tested.test).toMatchObject({ sown: 50, came: 30 })
    expect(tested.advice).toBe('thicker')
    expect(tested.springs[0].pct).toBeLessThanOrEqual(60)
  })
})
