import type { Crop } from './crop'
import { faults } from './faults'

const fruitGroups = ['orchard', 'stone', 'berry']
/** Dried life at 15.6 °C, days. @source NCHFP: fruit 12 months at 60 °F, vegetables half (recalled, not re-read) */
const driedDays = { fruit: 365, vegetable: 182 }

/**
 * A crop as it lies in the jar after the dehydrator: its own cautions and name, the water it was dried to, and the life
 * of dried food. A crop that cannot be dehydrated is itself.
 */
export function driedForm(crop: Crop): Crop {
  const { dehydrating } = crop
  if (!dehydrating) return crop
  const days = driedDays[fruitGroups.includes(crop.group) ? 'fruit' : 'vegetable']
  const fresh = Math.max(crop.waterPct.value, dehydrating.finalMoisturePct.value)
  const left = (100 - fresh) / (100 - dehydrating.finalMoisturePct.value)
  const dried: Crop = {
    ...crop,
    name: `${crop.name}, dried`,
    plural: `dried ${crop.plural}`,
    pieceG: { value: Math.max(0.05, crop.pieceG.value * left), source: 'judgement' },
    waterPct: dehydrating.finalMoisturePct,
    necks: [],
    packs: [
      { id: 'jar', label: 'airtight jar' },
      { id: 'bag', label: 'airtight bag' },
    ],
    needs: ['dark'],
    keeping: {
      bestTemperatureC: { value: [0, 16], source: 'nchfp' },
      bestHumidityPct: { value: [20, 60], source: 'practice' },
      lifeDays: { value: [Math.round(days * 0.75), Math.round(days * 1.25)], source: 'judgement' },
      atHome: { value: 'an airtight jar in a cool dark cupboard', source: 'practice' },
      keptDry: true,
      transpiration: { value: 1, source: 'judgement' },
      largestLossPct: { value: 12, source: 'judgement' },
      ageingQ10: { value: 2, source: 'nchfp' },
      ageingDays: { value: Math.round(days * 1.13), source: 'judgement' },
      ageingAtC: { value: 15.6, source: 'nchfp' },
      ethyleneGiven: { value: 'none', source: 'judgement' },
      ethyleneFelt: { value: 'none', source: 'judgement' },
    },
    faults: [faults['jar-beads'], faults['seed-mould'], faults.weevil],
  }
  delete dried.freezing
  delete dried.curing
  delete dried.readiness
  return dried
}
