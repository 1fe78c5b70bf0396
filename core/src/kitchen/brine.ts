import { told, type Message } from '../message'
import { Refusal, requireWithin } from '../refusal'

export interface BrineAnswer {
  saltG: number
  note: Message
  source: string
}

/** Salt strengths a household ferments at, %: beside these something is mistyped. */
const saneSaltPct = [0.5, 26] as const

/**
 * Salt to weigh out.
 * @param method `of-water`: per cent of the water's weight; `of-total`: per cent of produce plus water
 * @param waterG g
 * @param produceG g
 * @throws Refusal `out-of-range`; `invalid` when there is nothing to salt
 * @source arithmetic; 2–3 % for shredded cabbage, 3.5–5 % for vegetables in brine (NCHFP and practice, recalled)
 * @example brine('of-total', 400, 600, 2.5).saltG // 25
 */
export function brine(method: 'of-water' | 'of-total', waterG: number, produceG: number, saltPct: number): BrineAnswer {
  requireWithin(waterG, 0, 1e8, 'waterG', 'g')
  requireWithin(produceG, 0, 1e8, 'produceG', 'g')
  requireWithin(saltPct, saneSaltPct[0], saneSaltPct[1], 'saltPct', '%')
  const base = method === 'of-water' ? waterG : waterG + produceG
  if (base === 0) {
    throw new Refusal('invalid', told('kitchen.nothingToSalt'), method === 'of-water' ? 'waterG' : 'produceG')
  }
  const saltG = (base * saltPct) / 100
  const total = waterG + produceG + saltG
  const overallPct = (saltG / total) * 100
  return {
    saltG,
    note: told('kitchen.brineNote', {
      overall: overallPct.toFixed(1),
      strength: overallPct < 1.8 ? 'weak' : overallPct > 8 ? 'strong' : 'usual',
    }),
    source: 'Arithmetic; ranges of NCHFP and common practice (recalled, not re-read)',
  }
}

/**
 * How strong a brine is that so much salt was put into: the other way round.
 * @param method `of-water`: per cent of the water's weight; `of-total`: per cent of produce plus water
 * @throws Refusal `out-of-range`; `invalid` where there is nothing to salt
 * @example saltPctOf('of-total', 400, 600, 25) // 2.5
 */
export function saltPctOf(method: 'of-water' | 'of-total', waterG: number, produceG: number, saltG: number): number {
  requireWithin(waterG, 0, 1e8, 'waterG', 'g')
  requireWithin(produceG, 0, 1e8, 'produceG', 'g')
  requireWithin(saltG, 0, 1e8, 'saltG', 'g')
  const base = method === 'of-water' ? waterG : waterG + produceG
  if (base === 0) throw new Refusal('invalid', told('kitchen.nothingToSalt'), 'waterG')
  return (saltG / base) * 100
}
