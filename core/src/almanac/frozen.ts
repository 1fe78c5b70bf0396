import { degrees, told } from '../message'
import type { Crop } from './crop'
import { faults } from './faults'
import { halfAfter } from './put-by'

const daysAMonth = 30.4

/**
 * A crop as it lies in the freezer: counted in bags, its life that of frozen food, shorter the warmer it is kept. A crop
 * that cannot be frozen is itself. It is quality that ends, not safety.
 */
export function frozenForm(crop: Crop): Crop {
  const { freezing } = crop
  if (!freezing) return crop
  const [lo, hi] = freezing.lifeMonths.value
  const frozen: Crop = {
    ...crop,
    name: `${crop.name}, frozen`,
    plural: `frozen ${crop.plural}`,
    piece: { one: 'bag', many: 'bags' },
    // what two to four eat at a meal
    pieceG: { value: 400, source: 'judgement' },
    necks: [],
    packs: [
      { id: 'bag', label: 'freezer bag' },
      { id: 'box', label: 'freezer box' },
      { id: 'vacuum', label: 'vacuum bag' },
      { id: 'mould', label: 'blocks from a mould, bagged' },
    ],
    needs: ['dark'],
    keeping: {
      bestTemperatureC: { value: [-25, -18], source: freezing.lifeMonths.source },
      bestHumidityPct: { value: [0, 100], source: 'judgement' },
      lifeDays: {
        value: [Math.round(lo * daysAMonth), Math.round(hi * daysAMonth)],
        source: freezing.lifeMonths.source,
      },
      atHome: { value: told('almanac.freezerAirOut', { cold: degrees(-18) }), source: 'practice' },
      keptDry: true,
      transpiration: { value: 0, source: 'judgement' },
      largestLossPct: { value: 20, source: 'judgement' },
      // its life at −12 °C is such a share of that at −18 °C
      ageingQ10: { value: freezing.warmShare.value ** (-10 / 6), source: freezing.warmShare.source },
      ageingDays: {
        value: Math.round(Math.sqrt(lo * hi) * daysAMonth * halfAfter),
        source: freezing.lifeMonths.source,
      },
      ageingAtC: { value: -18, source: freezing.lifeMonths.source },
      ethyleneGiven: { value: 'none', source: 'judgement' },
      ethyleneFelt: { value: 'none', source: 'judgement' },
    },
    faults: [faults['freezer-burn'], faults['thawed-once']],
  }
  delete frozen.freezing
  delete frozen.dehydrating
  delete frozen.curing
  delete frozen.readiness
  delete frozen.cleaning
  return frozen
}
