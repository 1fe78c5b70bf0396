import { describe, expect, it } from 'vitest'
import { tagIn } from './tag'

describe('a tag read by the camera', () => {
  it('says which lot it is, and whose', () => {
    expect(tagIn('http://127.0.0.1:8420/quarry-house/lots/G26-1')).toEqual({ household: 'quarry-house', code: 'G26-1' })
    expect(tagIn('https://cellar.example:8443/mill-2/lots/n26-12')).toEqual({ household: 'mill-2', code: 'N26-12' })
  })
  it('of the time before addresses is this household’s', () => {
    expect(tagIn('http://127.0.0.1:8420/lots/G26-1')).toEqual({ household: undefined, code: 'G26-1' })
  })
  it('is nothing when it is not ours', () => {
    for (const text of ['', 'G26-1', 'http://example.org/', 'http://x/lots/none', 'http://x/a/b/lots/G26-1']) {
      expect(tagIn(text), text).toBeUndefined()
    }
  })
})
