import type { Crop } from '../almanac'
import { dryWeight } from '../line'

/** A roasted seed or nut holds so much water. @source usual figures of composition tables, 1–3 % (recalled) */
const roastedWaterPct = 2

const oily = ['hazelnut', 'walnut', 'chestnut']

/** Seeds and nuts that are roasted. */
export const roasts = (crop: Pick<Crop, 'id' | 'group'>): boolean => crop.group === 'seed' || oily.includes(crop.id)

export const isRoasted = (prepared: string): boolean => /\broast/i.test(prepared)

/** What seeds or nuts weigh once roasted, g, by the water they hold now. @source mass balance */
export const roastedG = (weightG: number, crop: Pick<Crop, 'waterPct'>): number =>
  crop.waterPct.value <= roastedWaterPct
    ? weightG
    : dryWeight(weightG, crop.waterPct.value, roastedWaterPct).targetWeightG
