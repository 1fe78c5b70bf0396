import type { LotRow } from '@vadose/contract/lots'
import { describe, expect, it } from 'vitest'
import { clockAt, heapsFor, hoursBetween, hoursSince, isLaidOut } from './evening'

const lot = (code: string, crop: string, broughtOn: string, over: Partial<LotRow> = {}): LotRow =>
  ({
    code,
    crop,
    broughtOn,
    heap: 'sound',
    form: 'fresh',
    stage: 'fresh',
    fate: 'eat-first',
    weightG: 2000,
    pieces: null,
    aside: null,
    ...over,
  }) as LotRow

describe('what waits to be frozen', () => {
  it('is laid out when it came in these days or is meant for it, soonest too late first', () => {
    const heaps = heapsFor(
      [
        lot('S1', 'sweetcorn', '2026-10-02'),
        lot('E1', 'bean-green', '2026-10-01'),
        lot('N1', 'onion-storing', '2026-08-01', { stage: 'stored', fate: 'store' }),
        lot('N2', 'onion-storing', '2026-08-01', { aside: { why: 'freeze', until: '2026-10-03' } }),
        lot('F1', 'plum', '2026-10-02', { form: 'jarred' }),
        lot('P1', 'potato-maincrop', '2026-10-02', { fate: 'plant' }),
      ],
      Date.parse('2026-10-02T18:00:00Z'),
      new Set(),
    )
    const codes = heaps.map(({ lot: { code } }) => code)
    expect(codes[0]).toBe('N2')
    expect(codes).not.toContain('F1')
    expect(codes).not.toContain('P1')
    expect(heaps.filter(isLaidOut).map(({ lot: { code } }) => code)).not.toContain('N1')
    // sweetcorn has hours, beans a day
    expect(codes.indexOf('E1')).toBeLessThan(codes.length)
    expect(heaps.find(({ lot: { code } }) => code === 'S1')!.left).toBeLessThan(12)
  })
  it('is as old as the hour it came in says, and ages half as fast in the fridge', () => {
    const at = Date.parse('2026-10-02T18:00:00Z')
    expect(hoursSince({ broughtOn: '2026-10-01', broughtAt: '2026-10-01T17:00:00Z' }, at)).toBe(25)
    expect(hoursSince({ broughtOn: '2026-10-01' }, at)).toBe(30)
    const kale = lot('B1', 'kale', '2026-10-01', { broughtAt: '2026-10-01T17:00:00Z', placeId: 'fridge' })
    const [warm] = heapsFor([kale], at, new Set())
    const [cold] = heapsFor([kale], at, new Set(['fridge']))
    expect([warm!.left < 0, cold!.left > 10]).toEqual([true, true])
  })
})

describe('the kitchen’s clock', () => {
  it('goes past midnight', () => {
    expect(clockAt('18:00', 65)).toBe('19:05')
    expect(clockAt('23:30', 45)).toBe('00:15')
    expect(hoursBetween('18:00', '22:20')).toBeCloseTo(4.333, 2)
    expect(hoursBetween('22:00', '01:00')).toBe(3)
  })
})
