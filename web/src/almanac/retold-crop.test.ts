import { cropById, crops, findCrops } from '@vadose/core/almanac'
import { afterEach, describe, expect, it } from 'vitest'
import { useLanguage } from '../voice'
import { allCrops, cropOf, lotCrop, lotName } from './index'
import { retoldCrop } from './retold-crop'

afterEach(() => useLanguage('en-GB'))

/** Every text in a value, with the name it goes by. */
function texts(value: unknown, name = ''): [string, string][] {
  if (typeof value === 'string') return [[name, value]]
  if (Array.isArray(value)) return value.flatMap((one) => texts(one, name))
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, one]) => texts(one, key))
}
/** Everything a value holds that is no text. */
const bare = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_, one: unknown) => (typeof one === 'string' ? '' : one)))

describe('a crop as another English calls it', () => {
  it.each([
    ['courgette', 'Zucchini', 'zucchini'],
    ['aubergine', 'Eggplant', 'eggplants'],
    ['swede', 'Rutabaga', 'rutabagas'],
    ['beetroot', 'Beet', 'beets'],
    ['bean-broad', 'Bean, fava', 'fava beans'],
    ['maize', 'Corn, dry', 'corn'],
    ['sweetcorn', 'Sweet corn', 'sweet corn'],
    ['chilli', 'Chili', 'chilies'],
    ['garlic-hardneck', 'Garlic, hardneck', 'garlic'],
  ])('%s is %s, many of it %s', (id, name, plural) => {
    const told = retoldCrop(cropById(id), 'en-US')
    expect([told.id, told.name, told.plural]).toEqual([id, name, plural])
  })

  it.each(crops.map((crop) => [crop.id, crop] as const))(
    '%s keeps its figures and what the program knows it by',
    (_, crop) => {
      for (const language of ['en-US', 'en-XA'] as const) {
        const told = retoldCrop(crop, language)
        expect(bare({ ...told, synonyms: [] })).toEqual(bare({ ...crop, synonyms: [] }))
        const known = (of: object) =>
          texts(of).filter(([name]) => ['id', 'fate', 'group', 'source', 'topic', 'to'].includes(name))
        expect(known(told)).toEqual(known(crop))
      }
      const british = texts({ ...retoldCrop(crop, 'en-US'), synonyms: [] })
        .filter(([name]) =>
          ['name', 'plural', 'label', 'text', 'detail', 'note', 'hint', 'signs', 'cause'].includes(name),
        )
        .filter(([, text]) => /\b(autumn|colour|mould|grey|litre|fibre|flavour|neighbour)/i.test(text))
      expect(british).toEqual([])
    },
  )

  it('is found by its other names too, and is not said to be called what it is called', () => {
    const told = retoldCrop(cropById('courgette'), 'en-US')
    expect(told.synonyms).toContain('courgette')
    expect(told.synonyms).not.toContain('zucchini')
    const all = crops.map((crop) => retoldCrop(crop, 'en-US'))
    for (const typed of ['courgette', 'zucchini']) expect(findCrops(all, typed)[0]?.crop.id).toBe('courgette')
  })
})

describe('the almanac of a household', () => {
  it('is spoken in its English, and again in the other when that changes', () => {
    expect(cropOf('courgette').name).toBe('Courgette')
    useLanguage('en-US')
    expect(cropOf('courgette').name).toBe('Zucchini')
    expect(allCrops()).toHaveLength(crops.length)
    expect(lotName({ crop: 'courgette', form: 'frozen' })).toBe('Zucchini, frozen')
    useLanguage('en-GB')
    expect(lotName({ crop: 'courgette', form: 'frozen' })).toBe('Courgette, frozen')
  })
  it('leaves names that people gave, and says the units it counts in', () => {
    useLanguage('en-US')
    const soup = { crop: 'courgette', form: 'frozen', name: 'Autumn courgette soup', unit: 'tin' } as const
    expect(lotName(soup)).toBe('Autumn courgette soup')
    expect(lotCrop(soup).piece).toEqual({ one: 'can', many: 'cans' })
  })
  it('does not take what was bought for a crop', () => {
    for (const language of ['en-GB', 'en-US'] as const) {
      useLanguage(language)
      expect(cropOf('pantry').piece).toEqual({ one: 'piece', many: 'pieces' })
      expect(lotCrop({ crop: 'pantry', name: 'Pearl barley' }).name).toBe('Pearl barley')
    }
  })
})
