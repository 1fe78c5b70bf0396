import { describe, expect, it } from 'vitest'
import { draft, lotHistory, restated } from './index'
import { at, day, hung, stored } from './made-up-lot'

describe('a lot read from its ledger', () => {
  it('what joins later is not weighed with the rest; a part of it weighs its share', () => {
    const weighed = at([
      ...hung,
      draft('weighed', { weightG: -500, details: { scaleG: 4500, basis: 'lot' } }),
      draft('weighed', { details: { scaleG: 600, basis: 'bunch' } }),
    ])
    const joined = at([...weighed, draft('brought-in', { weightG: 1000, pieces: 20 })])
    expect(lotHistory(joined).weighings.map(({ basis }) => basis)).toEqual(['bunch'])
    const eaten = at([...weighed, draft('used', { weightG: -900, pieces: -20 })])
    // four fifths are left: of the lot as if it had always been so much, of the bunch what it weighed
    expect(lotHistory(eaten).weighings.map(({ weightG }) => weightG)).toEqual([3600, 600])
  })
  it('a topped up bag is no younger, and a look is at as many as there were', () => {
    const topped = at([...stored, draft('split-in', { weightG: 500, pieces: 10 })])
    expect(lotHistory(topped).storedAtMs).toBe(2 * day)
    const looked = at([...stored, draft('checked', { details: { lookedAt: 30, bad: 1, lotSize: 77 } })])
    expect(lotHistory(looked).checks[0]).toMatchObject({ lookedAt: 30, lotSize: 100 })
    const uncounted = at([
      draft('brought-in', { weightG: 5000 }),
      draft('finished', { placeId: 'c' }),
      draft('checked', { details: { lookedAt: 30, bad: 1, lotSize: 77 } }),
    ])
    expect(lotHistory(uncounted).checks[0]).toMatchObject({ lookedAt: 30, lotSize: 77 })
    // what was cut up is counted no longer, and what was said of it holds
    const cut = at([
      draft('brought-in', { weightG: 1000, pieces: 10 }),
      draft('loaded', { weightG: -100, pieces: -10, details: { scaleG: 900 } }),
      draft('checked', { details: { lookedAt: 30, bad: 1, lotSize: 77 } }),
    ])
    expect(lotHistory(cut).checks[0]).toMatchObject({ lookedAt: 30, lotSize: 77 })
    const sorted = at([
      ...stored,
      draft('checked', { details: { lookedAt: 90, bad: 1, lotSize: 90, why: 'sorted through' } }),
    ])
    expect(lotHistory(sorted).checks[0]).toMatchObject({ lookedAt: 100, lotSize: 100 })
  })
  it('knows the last note, the last germination and the verdict, each apart', () => {
    const noted = at([
      ...stored,
      draft('noted', { details: { text: 'smells', mindOn: '2026-12-01' } }),
      draft('noted', { details: { text: 'germination test', sown: 20, came: 17 } }),
      draft('noted', { details: { verdict: 'more' } }),
    ])
    expect(lotHistory(noted)).toMatchObject({
      note: { text: 'smells', mindOn: '2026-12-01', atMs: 3 * day },
      germination: { sown: 20, came: 17, atMs: 4 * day },
      verdict: 'more',
    })
    expect(lotHistory(at([...noted, draft('noted', { details: { text: '' } })])).note).toBeNull()
  })
})

describe('an entry told otherwise', () => {
  it('says what the scale showed, or what was taken with the other following', () => {
    expect(restated(stored[2]!, { weightG: 3900, pieces: 90 })).toEqual({ details: { scaleG: 3900, counted: 90 } })
    const used = draft('used', { weightG: -80, pieces: -2 })
    const entry = { ...used, atMs: 1 }
    expect(restated(entry, { pieces: 3 })).toEqual({ pieces: -3, details: { by: 'pieces' } })
    expect(restated(entry, { weightG: 120 })).toEqual({ weightG: -120, details: { by: 'weight' } })
    expect(restated(entry, { weightG: 120, pieces: 3 })).toEqual({ weightG: -120, pieces: -3, details: {} })
    expect(restated(hung[0]!, { weightG: 4800 }, 7)).toEqual({
      atMs: 7,
      weightG: 4800,
      details: { guessed: 'nothing' },
    })
    expect(() => restated(entry, { placeId: 'x' })).toRefuse(/./)
  })
})
