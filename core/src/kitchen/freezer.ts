import { hourMs, type AirSeries } from '../air'
import type { Freezing } from '../almanac'
import { frozenPace } from './frozen-life'
import { packedKgPerLitre } from './power-cut'
import { coldEnoughC, warmSpellC } from '../assumptions'

/** How full a freezer is: packed food is about half air. */
export const freezerFill = (kg: number, litres: number): number => Math.min(1, kg / (litres * packedKgPerLitre))

/** A stretch in which a freezer was warmer than it usually is. */
export interface WarmSpell {
  fromMs: number
  hours: number
  warmestC: number
  /** days of frozen life it cost a bag, beyond what those hours cost at the usual cold */
  costDays: number
  /** it began to thaw: the rules for a power cut say what of it is kept */
  thawed: boolean
}

/** beyond this frozen life is not reckoned: it thaws */
const thawingC = -6

/** What a freezer usually stands at, °C: half its hours are colder. */
export function usualColdC({ temperatureC }: Pick<AirSeries, 'temperatureC'>): number {
  const sorted = temperatureC.slice().sort()
  return sorted[Math.floor(sorted.length / 2)] ?? -18
}

/**
 * The warm spells in a freezer's log, and what each cost what lies there.
 * @param freezing how the life of what lies there shortens with warmth
 */
export function warmSpells(
  log: Pick<AirSeries, 'startMs' | 'hours' | 'temperatureC'>,
  freezing: Pick<Freezing, 'warmShare'>,
): WarmSpell[] {
  const usual = usualColdC(log)
  const paceUsual = frozenPace(freezing, usual)
  const spells: WarmSpell[] = []
  let open: WarmSpell | undefined
  for (let i = 0; i < log.hours; i++) {
    const t = log.temperatureC[i]!
    if (t <= Math.max(usual + warmSpellC, coldEnoughC)) {
      open = undefined
      continue
    }
    if (!open)
      spells.push((open = { fromMs: log.startMs + i * hourMs, hours: 0, warmestC: t, costDays: 0, thawed: false }))
    open.hours++
    open.warmestC = Math.max(open.warmestC, t)
    open.thawed ||= t > thawingC
    open.costDays += (frozenPace(freezing, Math.min(t, thawingC)) - paceUsual) / 24
  }
  return spells
}
