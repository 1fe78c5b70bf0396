/** A lot in a place, as far as the place's air matters to it. */
export interface LotInPlace {
  code: string
  /** on the line: how long it has stood still, whether it will ever be ready here, and whether it heals or dries */
  drying?: { stalledForHours: number; neverReady: boolean; heals: boolean }
  /** in store: what ends it first */
  endedBy?: string
  /** the air of these days is below what it stands, °C: the coldest of them */
  frostC?: number
}

/** Ends that a place's own air brings about. */
const airsDoing = ['rooting', 'mould', 'frost']
/** standing still for less is a night's rest, hours */
const stallCountsFromHours = 12

/** Whether a place's air suits what is in it, in a few words: the worst that stands still, then the worst in store. */
export function placeVerdict(lots: readonly LotInPlace[]): { suits: boolean; says: string } {
  if (lots.length === 0) return { suits: true, says: 'empty' }
  const frozen = lots.filter((lot) => lot.frostC !== undefined).sort((a, b) => a.frostC! - b.frostC!)[0]
  if (frozen) {
    return {
      suits: false,
      says: `frost, ${frozen.frostC!.toFixed(1).replace('-', '−')} °C: ${frozen.code} will not stand it`,
    }
  }
  const hanging = lots.flatMap((lot) => (lot.drying ? [{ code: lot.code, ...lot.drying }] : []))
  const stalled = [...hanging].sort((a, b) => b.stalledForHours - a.stalledForHours)[0]
  if (stalled && stalled.stalledForHours >= stallCountsFromHours) {
    const days = Math.floor(stalled.stalledForHours / 24)
    const long = days >= 1 ? `${days} ${days === 1 ? 'day' : 'days'}` : `${Math.round(stalled.stalledForHours)} hours`
    return { suits: false, says: `${stalled.heals ? 'too cold or hot to heal' : 'too damp to dry'} for ${long}` }
  }
  const never = hanging.find((lot) => lot.neverReady)
  if (never) return { suits: false, says: `${never.heals ? 'no air to heal' : 'too damp to dry'} ${never.code}` }
  const threatened = lots.find((lot) => lot.endedBy !== undefined && airsDoing.includes(lot.endedBy))
  if (threatened) return { suits: false, says: `${threatened.endedBy} threatens ${threatened.code}` }
  return { suits: true, says: 'suits what is here' }
}
