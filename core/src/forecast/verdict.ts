import { told } from '../message'
import { placeVerdict, type LotInPlace, type Verdict } from '../round'
import { curingOfLot } from './curing'
import type { House } from './house'
import { keepsUntil } from './keeping'
import type { LotState } from './lot'
import type { PlaceState } from './place'
import { workable } from './trouble'

/** the night that was and the one to come, hours */
const theseNights = 24

/** The coldest hour of these nights, where what lies or hangs there freezes in it. */
function frostOn(lot: LotState, { past, ahead, kind }: PlaceState): { frostC?: number } {
  const freezesAt = lot.cropData.keeping.freezesAtC?.value
  // in a freezer it is meant to
  if (freezesAt === undefined || kind === 'freezer') return {}
  const coldest = Math.min(
    ...past.temperatureC.subarray(Math.max(0, past.hours - theseNights)),
    ...ahead.temperatureC.subarray(0, theseNights),
  )
  return coldest < freezesAt ? { frostC: coldest } : {}
}

/** Whether a place's air suits what is in it now. */
export function verdictOn(house: House, place: PlaceState): Verdict {
  const beds = place.kind === 'outdoors' ? house.stands.filter((stand) => !stand.over).length : 0
  if (beds > 0 && !house.lots.some((lot) => lot.placeId === place.id)) {
    return { suits: true, says: told('verdict.beds', { beds }) }
  }
  const inside = workable(house).filter((lot) => lot.placeId === place.id)
  // the air of the hour, what lies there, and how that keeps: nothing else makes a verdict
  const keeps = inside.map((lot) => (lot.stage === 'stored' ? keepsUntil(house, lot) : undefined))
  return house.once(null, `verdict ${place.id}`, [place, house.comingHourMs, ...inside, ...keeps], () =>
    placeVerdict(
      inside.map((lot): LotInPlace => {
        const frost = frostOn(lot, place)
        if (lot.stage === 'stored') return { code: lot.code, endedBy: keepsUntil(house, lot).endedBy, ...frost }
        if (lot.stage !== 'drying') return { code: lot.code, ...frost }
        const { stalledForHours, readyAtMs } = curingOfLot(house, lot).state
        const heals = lot.cropData.curing?.clock === 'healing'
        return {
          code: lot.code,
          ...frost,
          drying: { stalledForHours, neverReady: !Number.isFinite(readyAtMs.p50), heals },
        }
      }),
    ),
  )
}
