import { placeVerdict, type LotInPlace } from '../round'
import { curingOfLot } from './curing'
import type { House } from './house'
import { keepsUntil } from './keeping'
import type { PlaceState } from './place'
import { workable } from './trouble'

/** Whether a place's air suits what is in it now. */
export const verdictOn = (house: House, place: PlaceState) =>
  placeVerdict(
    workable(house)
      .filter((lot) => lot.placeId === place.id)
      .map((lot): LotInPlace => {
        if (lot.stage === 'stored') return { code: lot.code, endedBy: keepsUntil(house, lot).endedBy }
        if (lot.stage !== 'drying') return { code: lot.code }
        const { stalledForHours, readyAtMs } = curingOfLot(house, lot).state
        const heals = lot.cropData.curing?.clock === 'healing'
        return { code: lot.code, drying: { stalledForHours, neverReady: !Number.isFinite(readyAtMs.p50), heals } }
      }),
  )
