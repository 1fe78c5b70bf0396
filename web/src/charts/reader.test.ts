import { nextTick, ref } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import { nearest, useReader } from './reader'

const points = [0, 10, 20, 30].map((x) => ({ x }))
const xOf = (p: { x: number }) => p.x
const key = (name: string) => ({ key: name, preventDefault: vi.fn() }) as unknown as KeyboardEvent
/** The mouse over a chart drawn 200 px wide from 50 px on. */
const mouse = (clientX: number) =>
  ({ clientX, currentTarget: { getBoundingClientRect: () => ({ left: 50, width: 200 }) } }) as unknown as MouseEvent

describe('the nearest point', () => {
  it('is the nearer of two, the end beyond the ends, and none of none', () => {
    expect([-5, 4, 6, 14, 16, 99].map((x) => nearest(points, xOf, x))).toEqual([0, 0, 1, 1, 2, 3])
    expect(nearest([], xOf, 3)).toBe(-1)
  })
})

describe('reading a chart out', () => {
  const reader = (over = {}) => useReader({ points: () => points, xOf, width: () => 40, ...over })

  it('says nothing until asked', () => expect(reader().at.value).toBeUndefined())

  it('goes by where the mouse is, however wide the chart is drawn', () => {
    const { at, listeners } = reader()
    listeners.mousemove(mouse(50))
    expect(at.value).toBe(points[0])
    // half of 200 px is half of 40 units: 20
    listeners.mousemove(mouse(150))
    expect(at.value).toBe(points[2])
    listeners.mouseleave()
    expect(at.value).toBeUndefined()
  })
  it('goes by arrow keys, from the first or from where it is told, and stops at the ends', () => {
    const { at, listeners } = reader()
    listeners.keydown(key('ArrowRight'))
    expect(at.value).toBe(points[0])
    for (let i = 0; i < 9; i++) listeners.keydown(key('ArrowRight'))
    expect(at.value).toBe(points[3])
    for (let i = 0; i < 9; i++) listeners.keydown(key('ArrowLeft'))
    expect(at.value).toBe(points[0])
    const fromToday = reader({ from: () => 1, stride: 2 })
    fromToday.listeners.keydown(key('ArrowRight'))
    expect(fromToday.at.value).toBe(points[3])
  })
  it('leaves other keys to the page', () => {
    const { at, listeners } = reader()
    const tab = key('Tab')
    listeners.keydown(tab)
    expect(tab.preventDefault).not.toHaveBeenCalled()
    expect(at.value).toBeUndefined()
  })
  it('forgets when other points are drawn', async () => {
    const shown = ref(points)
    const { at, listeners } = useReader({ points: () => shown.value, xOf, width: () => 40 })
    listeners.keydown(key('ArrowRight'))
    expect(at.value).toBeDefined()
    shown.value = [{ x: 5 }]
    await nextTick()
    expect(at.value).toBeUndefined()
  })
  it('has nothing to say of an empty chart', () => {
    const { at, listeners } = useReader({ points: (): { x: number }[] => [], xOf, width: () => 40 })
    listeners.keydown(key('ArrowRight'))
    listeners.mousemove(mouse(100))
    expect(at.value).toBeUndefined()
  })
})
