import { describe, expect, it } from 'vitest'
import { crops } from '../almanac'
import { potWays } from './index'

const crop = (id: string) => crops.find((one) => one.id === id)!

describe('dishes that use a crop up', () => {
  const recipes = [
    {
      name: 'Ratatouille',
      takes: [
        // more of it than in the soup, and yet it is mostly something else
        { crop: 'courgette', weightG: 1800 },
        { crop: 'tomato', weightG: 4000 },
      ],
    },
    {
      name: 'Courgette soup',
      takes: [
        { crop: 'courgette', weightG: 900 },
        { crop: 'onion-storing', weightG: 100 },
      ],
    },
  ]
  it('the household’s own come first, what is made of it mostly before what is made of it partly', () => {
    expect(potWays(crop('courgette'), recipes).slice(0, 2)).toEqual(['Courgette soup', 'Ratatouille'])
    expect(potWays(crop('tomato'), recipes)[0]).toBe('Ratatouille')
  })
  it('every crop that is eaten as a dish has one, none twice', () => {
    for (const one of crops) {
      const ways = potWays(one, recipes)
      expect(new Set(ways).size).toBe(ways.length)
    }
    expect(potWays(crop('apple-late'), [])).toContain('crumble')
  })
})
