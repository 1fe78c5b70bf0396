import { openSync, type Font } from 'fontkit'
import { describe, expect, it } from 'vitest'
import { fontFile, lettered } from './lettering'

/** Where an outline reaches, by the end points and handles of its strokes. */
function reach(svg: string) {
  const { 1: d } = /<path d="([^"]+)"/.exec(svg)!
  const numbers = [...d!.matchAll(/-?\d+(\.\d+)?/g)].map(([n]) => Number(n))
  const [xs, ys] = [0, 1].map((k) => numbers.filter((_, i) => i % 2 === k)) as [number[], number[]]
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), foot: Math.max(...ys) }
}
const line = { x: 6, y: 22, size: 4.2, least: 2.5, room: 38 }

describe('a line of a tag', () => {
  it('stands on its line, as high as the typeface says its capitals are', () => {
    const font = openSync(fontFile('700Bold')) as Font
    const { left, top, foot } = reach(lettered('H', { ...line, style: '700Bold' }))
    expect(foot).toBeCloseTo(22, 2)
    expect(22 - top).toBeCloseTo((4.2 * font.capHeight) / font.unitsPerEm, 1)
    expect(left).toBeGreaterThan(6)
  })
  it('gets smaller before it is cut off, and never leaves its room', () => {
    const [short, long, longest] = ['Garlic', 'Squash, winter, of the neighbours', 'W'.repeat(80)].map((text) =>
      reach(lettered(text, line)),
    )
    expect(short!.foot - short!.top).toBeGreaterThan(long!.foot - long!.top)
    for (const { right } of [short!, long!, longest!]) expect(right).toBeLessThanOrEqual(6 + 38)
    // the smallest letters still fill most of it
    expect(longest!.right).toBeGreaterThan(6 + 34)
    expect(longest!.foot - longest!.top).toBeGreaterThan(1.5)
  })
  it('says of what the typeface has no letters for at least the text', () => {
    expect(lettered('Чеснок & лук', line)).toMatch(/^<text [^>]*>Чеснок &#38; лук<\/text>$/)
  })
})
