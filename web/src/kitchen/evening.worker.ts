import { almanacWith, type AlmanacChanges } from '@vadose/core/almanac'
import { boilMinutes, glutPlan, type FreeTime, type GlutPlan, type Kitchen } from '@vadose/core/kitchen'
import type { Message } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { expose } from 'comlink'

export interface EveningAsked {
  changes: AlmanacChanges
  heaps: { crop: string; cut?: string; kg: number; hoursSincePicking: number }[]
  evenings: FreeTime[]
  kitchen: Kitchen
  stoveKW: number
}
export type Planned = { plan: GlutPlan; boilsAfter: number } | { refusal: Message }

const planner = {
  plan({ changes, heaps, evenings, kitchen, stoveKW }: EveningAsked): Planned {
    try {
      const { byId } = almanacWith(changes)
      const boilsAfter = boilMinutes(kitchen.panLitres, stoveKW, kitchen.altitudeM)
      const own = heaps.map(({ crop, ...heap }) => ({ ...heap, crop: byId.get(crop)! }))
      return { plan: glutPlan(own, evenings, { ...kitchen, boilMinutes: boilsAfter }), boilsAfter }
    } catch (error) {
      if (error instanceof Refusal) return { refusal: error.says }
      throw error
    }
  },
}
export type Planner = typeof planner
expose(planner)
