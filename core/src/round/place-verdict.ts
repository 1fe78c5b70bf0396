import { endSaid, type End } from '../almanac'
import { degrees, told, type Message } from '../message'
import { stallCountsFromHours } from '../assumptions'

/** A lot in a place, as far as the place's air matters to it. */
export interface LotInPlace {
  code: string
  /** on the line: how long it has stood still, whether it will ever be ready here, and whether it heals or dries */
  drying?: { stalledForHours: number; neverReady: boolean; heals: boolean }
  /** in store: what ends it first */
  endedBy?: End
  /** the air of these days is below what it stands, °C: the coldest of them */
  frostC?: number
}

/** Ends that a place's own air brings about. */
const airsDoing: readonly End[] = ['rooting', 'mould', 'frost']

/** Whether it suits, and why not. */
export interface Verdict {
  suits: boolean
  says: Message
}

/** Whether a place's air suits what is in it, in a few words: the worst that stands still, then the worst in store. */
export function placeVerdict(lots: readonly LotInPlace[]): Verdict {
  if (lots.length === 0) return { suits: true, says: told('verdict.empty') }
  const frozen = lots.filter((lot) => lot.frostC !== undefined).sort((a, b) => a.frostC! - b.frostC!)[0]
  if (frozen) {
    return {
      suits: false,
      says: told('verdict.frost', { coldest: degrees(frozen.frostC!, 1), code: frozen.code }),
    }
  }
  const hanging = lots.flatMap((lot) => (lot.drying ? [{ code: lot.code, ...lot.drying }] : []))
  const stalled = [...hanging].sort((a, b) => b.stalledForHours - a.stalledForHours)[0]
  if (stalled && stalled.stalledForHours >= stallCountsFromHours) {
    const { heals, stalledForHours: hours } = stalled
    const days = Math.floor(hours / 24)
    const says = told('verdict.stalled', { heals: heals ? 'yes' : 'no', days, hours: Math.round(hours) })
    return { suits: false, says }
  }
  const never = hanging.find((lot) => lot.neverReady)
  if (never)
    return { suits: false, says: told('verdict.never', { heals: never.heals ? 'yes' : 'no', code: never.code }) }
  const threatened = lots.find((lot) => lot.endedBy !== undefined && airsDoing.includes(lot.endedBy))
  if (threatened)
    return { suits: false, says: told('verdict.threat', { end: endSaid(threatened.endedBy!), code: threatened.code }) }
  return { suits: true, says: told('verdict.suits') }
}
