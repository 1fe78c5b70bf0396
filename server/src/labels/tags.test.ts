import { beforeAll, describe, expect, it } from 'vitest'
import { cropById, frozenForm } from '@vadose/core/almanac'
import { garlicHarvest, practiceFile } from '../testing/fresh'
import { qrPath, tagSvg, tagWords } from './tag'

const at = practiceFile()
beforeAll(async () => {
  await at.client.post('/harvests', garlicHarvest(at.place('Veranda'), { variety: '<Stiff & "White">' }))
})

const lot = {
  code: 'G26-1',
  crop: 'garlic-hardneck',
  heap: 'sound',
  variety: 'Quarry Stiff',
  broughtOn: '2026-07-12',
  source: 'grown',
  name: null,
  unit: null,
  size: null,
  stage: 'stored',
  weightG: 3450,
  pieces: 96,
  guessed: { weight: false, pieces: false },
} as Parameters<typeof tagWords>[1]
const garlic = cropById('garlic-hardneck')

const british = { units: 'metric', language: 'en-GB' } as const

describe('what a tag says', () => {
  it('is code, crop, heap, date, amount and how it is packed', () => {
    expect(tagWords(garlic, lot, british, { pack: 'net' })).toEqual({
      code: 'G26-1',
      name: 'Garlic, hardneck',
      what: 'Quarry Stiff · Sound',
      date: 'brought in 2026-07-12',
      amount: '96 heads, 3.45 kg',
      form: 'net',
    })
  })
  it('is in the household’s units', () => {
    const bean = frozenForm(cropById('bean-green'))
    const frozen = { on: '2026-09-18', prepared: 'blanched, whole' }
    expect(tagWords(bean, { ...lot, pieces: 6, weightG: 2400 }, british, { pack: 'bag', frozen })).toMatchObject({
      name: 'Bean, green, frozen',
      what: expect.stringMatching(/· blanched$/),
      date: 'frozen 2026-09-18',
      amount: '6 bags, 2.40 kg',
      form: 'freezer bag',
    })
    expect(tagWords(garlic, lot, { ...british, units: 'us' }).amount).toBe('96 heads, 7.61 lb')
    expect(tagWords(garlic, { ...lot, weightG: 250, pieces: null }, { ...british, units: 'us' }).amount).toBe('9 oz')
    expect(tagWords(garlic, { ...lot, weightG: 250, pieces: null }, british).amount).toBe('250 g')
    expect(tagWords(garlic, { ...lot, weightG: 40, pieces: 1 }, british).amount).toBe('1 head, 40 g')
  })
  it('names what is under way, so that nobody puts it by too soon', () => {
    const forms = (crop: string, stage: string) =>
      tagWords(cropById(crop), { ...lot, stage: stage as typeof lot.stage }, british, { pack: 'net' }).form
    expect(forms('garlic-hardneck', 'drying')).toBe('drying')
    expect(forms('potato-maincrop', 'drying')).toBe('skins healing')
    expect(forms('apple-late', 'conditioning')).toBe('dried, not done')
    expect(forms('garlic-hardneck', 'fresh')).toBe('use first')
  })
  it('holds no markup but its own, whatever the household calls things', () => {
    const svg = tagSvg(garlic, { ...lot, variety: '<b>&"\'' }, british, 'http://127.0.0.1/lots/G26-1')
    expect(svg).not.toMatch(/<b>|&"/)
    expect(svg).toContain('&#60;b&#62;&#38;')
  })
})

describe('a QR code', () => {
  it('is square, within its size, with its three finders', () => {
    const path = qrPath('http://127.0.0.1:8421/lots/G26-1', 26)
    const starts = [...path.matchAll(/M([\d.]+) ([\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)])
    expect(starts.length).toBeGreaterThan(50)
    expect(Math.max(...starts.flat())).toBeLessThan(26)
    expect(Math.min(...starts.map(([x]) => x!))).toBe(0)
    expect(Math.min(...starts.map(([, y]) => y!))).toBe(0)
  })
})

describe('tags and labels over HTTP', () => {
  const raw = async (path: string) => {
    const response = await fetch(at.client.address(`${path}`))
    return { status: response.status, type: response.headers.get('content-type') ?? '', text: await response.text() }
  }
  it('come as SVG and PDF, and follow the household’s units', async () => {
    const svg = await raw('/lots/G26-1/tag.svg')
    expect(svg.type).toMatch(/svg/)
    expect(svg.text).toMatch(/4\.90 kg</)
    await at.client.put('/settings', { units: 'us' })
    expect((await raw('/lots/G26-1/tag.svg')).text).toMatch(/10\.8 lb</)
    await at.client.put('/settings', { units: 'metric' })
    const pdf = await raw('/labels.pdf?lots=g26-1,G26-3,G26-1&sheet=roll-58')
    expect([pdf.status, pdf.text.slice(0, 5)]).toEqual([200, '%PDF-'])
  })
  it.each([
    ['/labels.pdf', 400, 'lots'],
    ['/labels.pdf?lots=,,', 400, 'lots'],
    ['/labels.pdf?lots=G26-1&sheet=a3-9', 400, 'sheet'],
    ['/labels.pdf?lots=G26-1&sheet=__proto__', 400, 'sheet'],
    ['/labels.pdf?lots=G26-1&skip=-1', 400, 'skip'],
    ['/labels.pdf?lots=G26-1&skip=2.5', 400, 'skip'],
    ['/labels.pdf?lots=G26-1&skip=999', 400, 'skip'],
    ['/labels.pdf?lots=G26-99', 404, 'lots'],
    [`/labels.pdf?lots=${Array.from({ length: 201 }, (_, i) => `G26-${i + 1}`).join(',')}`, 413, 'lots'],
    ['/lots/G26-99/tag.svg', 404, undefined],
    ['/lots/;drop%20table/tag.svg', 404, undefined],
  ])('%.60s is refused', async (path, status, field) => {
    const answer = await raw(path)
    expect(answer.status).toBe(status)
    expect(JSON.parse(answer.text).error.field).toBe(field)
  })
})
