import { describe, expect, it } from 'vitest'
import { countFrom, gradesFrom } from './grades'

describe('sizes as typed', () => {
  it('leaves out rows nobody filled and keeps what is weighed, counted or not', () => {
    expect(
      gradesFrom({
        large: { weight: '1,2', pieces: '10' },
        middling: { weight: ' ', pieces: '' },
        small: { weight: '0.4', pieces: '' },
      }),
    ).toEqual([
      { grade: 'large', weightG: 1200, pieces: 10 },
      { grade: 'small', weightG: 400 },
    ])
    expect(gradesFrom({})).toEqual([])
  })
  it('says null where one of them cannot be read', () => {
    expect(gradesFrom({ large: { weight: 'heavy', pieces: '' } })).toBeNull()
    expect(gradesFrom({ large: { weight: '', pieces: '3' } })).toBeNull()
    expect(gradesFrom({ large: { weight: '1', pieces: 'three' } })).toBeNull()
    expect(gradesFrom({ large: { weight: '1', pieces: '-3' } })).toBeNull()
  })
  it('counts whole pieces above nothing', () => {
    expect(['7', ' 12 ', '0', '1.5', '', 'x'].map(countFrom)).toEqual([7, 12, null, null, null, null])
  })
})
