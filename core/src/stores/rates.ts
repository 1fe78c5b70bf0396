import {
  bagHumidityPct,
  chillsBelowC,
  cullsAge,
  dampRot,
  gasDays,
  gasPace,
  gasReaching,
  greensC,
  halfFreezes,
  halfMoulds,
  homeToleranceFactor,
  packingFactor,
  rootsGrow,
} from '../assumptions'
import type { AirSeries } from '../air'
import { ends, type Crop, type End, type GasLevel, type Packing } from '../almanac'
import { floats, floatsOf, passingFloats, rowsOf } from '../rows'
import { tableFromC, tablesFor, tableSize, tableStepC } from './common-clock'

export { ends, type End, type Packing }

/** What lies round a lot besides air. */
export interface Surroundings {
  /** daylight falls on it */
  light?: boolean
  /** ripening gas its neighbours give off: a level, or the share of the full amount that reaches it */
  gas?: GasLevel | number
}

/** Temperatures the keeping model answers for, °C, and humidities, %. */
export const keepingRange = { temperatureC: [-10, 40], relativeHumidityPct: [10, 100] } as const

/**
 * Heat of respiration, W/kg; 0 for dried goods, which hardly breathe.
 * @param temperatureC °C; fitted for 0–27 °C or so
 * @source Becker, Misra & Fricke 1996: CO2 = f (9T/5 + 32)^g mg/(kg·h), 10.7 J a mg CO2. Trust the slope more than the level.
 */
export function respirationWPerKg(crop: Crop, temperatureC: number): number {
  if (!crop.keeping.respiration) return 0
  const { f, g } = crop.keeping.respiration.value
  return (f * Math.max(0, (9 * temperatureC) / 5 + 32) ** g * 10.7) / 3600
}

/** Weight lost, % an hour, for 1 kPa of pull: ng/(kg·s·Pa) × 1000 Pa × 3600 s, slowed by the packing. */
export const lossPctPerHourPerKPa = (crop: Crop, packing: Packing): number =>
  crop.keeping.transpiration.value * 1e-12 * 1000 * 3600 * 100 * packingFactor[packing]

/** Loss of weight at which a household calls it dried out, %; never more than most of its water. */
export const bearableLossPct = (crop: Crop): number =>
  Math.min(
    crop.keeping.largestLossPct.value * (crop.keeping.bearableLoss ?? homeToleranceFactor),
    crop.waterPct.value * 0.8,
  )

/** The packing a crop usually lies in. */
export const usualPacking = (crop: Crop): Packing => crop.packs[0]?.id ?? 'box'

/** What the hours of a lot's life have added up to, from which every end's age follows. */
type Summed =
  | 'sprouting'
  | 'rot'
  | 'ageing'
  | 'pull'
  | 'saturation'
  | 'rooting'
  | 'mould'
  | 'frost'
  | 'chilling'
  | 'greening'
  | 'gas'

/**
 * What a lot's hours have added up to by each of its days. Packing, light and gas only scale it, so that one exposure
 * serves every question about them, and it is continued from where it stood.
 */
export interface Exposure {
  days: number
  /** sums by the end of each day, days + 1 values each; what a crop never feels is left out */
  sums: Partial<Record<Summed, Float64Array>>
}

/** What this crop's ends are made of. */
function feltBy({ keeping }: Crop): Summed[] {
  const felt: Summed[] = ['rot', 'ageing', 'pull', 'saturation']
  if (keeping.sproutingDays) felt.push('sprouting')
  if (keeping.keptDry) felt.push('mould')
  if (keeping.rootsAbovePct) felt.push('rooting')
  if (keeping.freezesAtC) felt.push('frost')
  if (keeping.chillsBelowC) felt.push('chilling')
  if (keeping.greeningDays) felt.push('greening')
  if (Number.isFinite(gasDays[keeping.ethyleneFelt.value])) felt.push('gas')
  return felt
}

/**
 * Adds up a lot's hours, day by day.
 * @param air hourly, from the first hour of day `before.days` of the lot's life, in one stretch or several end to end; an
 *   unfinished last day is left out
 * @param before what its days up to then have added up to; none when left out
 * @param take where its rows lie: `passingFloats` where they are not kept
 */
export function exposureOver(
  crop: Crop,
  air: AirSeries | readonly AirSeries[],
  before?: Exposure,
  take = floats,
): Exposure {
  const { keeping } = crop
  const stretches = 'hours' in air ? [air] : air
  const hours = stretches.reduce((sum, stretch) => sum + stretch.hours, 0)
  const first = before?.days ?? 0
  const days = first + Math.floor(hours / 24)
  const { rot, sprouting } = tablesFor(crop)
  const sums: Exposure['sums'] = {}
  const felt = feltBy(crop)
  const rows = rowsOf(felt.length, days + 1, take)
  felt.forEach((name, i) => {
    const known = before?.sums[name]
    if (known) rows[i]!.set(known)
    sums[name] = rows[i]!
  })
  // damp rots what is kept dry; the rest shrivels in dry air instead
  const dampFrom = keeping.keptDry ? keeping.bestHumidityPct.value[1] + dampRot.abovePct : 200
  const rootsAbove = keeping.rootsAbovePct?.value ?? 200
  const freezesAt = keeping.freezesAtC?.value ?? -300
  const chillsBelow = keeping.chillsBelowC?.value ?? -300
  const at = (name: Summed) => sums[name]?.[first] ?? 0
  let sproutSum = at('sprouting')
  let rotSum = at('rot')
  let rootSum = at('rooting')
  let mouldSum = at('mould')
  let frostSum = at('frost')
  let chillSum = at('chilling')
  let greenSum = at('greening')
  let gasSum = at('gas')
  let pull = at('pull')
  let ageing = at('ageing')
  let saturation = at('saturation')
  const greens = sums.greening !== undefined
  const gassed = sums.gas !== undefined
  let day = first
  let hour = 0
  for (const { hours, temperatureC, relativeHumidityPct, vpdKPa, mouldExcessPct } of stretches) {
    for (let i = 0; i < hours && day < days; i++) {
      const t = temperatureC[i]!
      const rh = relativeHumidityPct[i]!
      const cell = Math.min(tableSize - 1, Math.max(0, Math.round((t - tableFromC) / tableStepC)))
      sproutSum += sprouting[cell]!
      ageing += rot[cell]!
      rotSum += rot[cell]! * (rh > dampFrom ? 1 + (rh - dampFrom) * dampRot.perPoint : 1)
      pull += vpdKPa[i]!
      // the pressure of saturated air here, which a closed bag stands near
      saturation += rh < 99 ? vpdKPa[i]! / (1 - rh / 100) : 0
      if (rh > rootsAbove && t > 0) rootSum += (rh - rootsAbove) * Math.min(t, rootsGrow.fastestC) * rootsGrow.perDegree
      mouldSum += mouldExcessPct[i]!
      if (t < freezesAt) frostSum += freezesAt - t
      if (t < chillsBelow) chillSum += chillsBelow - t
      if (greens) greenSum += t < greensC.lo ? greensC.lo : t > greensC.hi ? greensC.hi : t
      if (gassed)
        gasSum += t < 0 ? gasPace.frozen : t > gasPace.fastestC ? gasPace.fastest : gasPace.at0C + t * gasPace.perDegree
      if (++hour < 24) continue
      hour = 0
      day++
      sums.rot![day] = rotSum
      sums.pull![day] = pull
      sums.ageing![day] = ageing
      sums.saturation![day] = saturation
      if (sums.sprouting) sums.sprouting[day] = sproutSum
      if (sums.mould) sums.mould[day] = mouldSum
      if (sums.rooting) sums.rooting[day] = rootSum
      if (sums.frost) sums.frost[day] = frostSum
      if (sums.chilling) sums.chilling[day] = chillSum
      if (sums.greening) sums.greening[day] = greenSum
      if (sums.gas) sums.gas[day] = gasSum
    }
  }
  return { days, sums }
}

// most ends never come for most crops: they share one row of noughts
let noughts = floats(1000)
function never(length: number): Float64Array {
  if (noughts.length < length) noughts = floats(2 * length)
  return noughts.subarray(0, length)
}

/**
 * How far each end has come, day by day: 1 is the point where half the pieces of a usual lot have met it.
 * @param around light and neighbours; darkness and none when left out
 * @param pace how much longer this crop's ageing and sprouting take than its tables say: see anchor.ts
 * @returns one array an end (order of `ends`), each of days + 1 values, never falling; and weight lost, %, never more
 *   than the water the crop holds. Read them, do not write them: ends that never come share theirs
 */
export function agesAtPace(
  crop: Crop,
  { days, sums }: Exposure,
  packing: Packing,
  around: Surroundings,
  pace: number,
): { ages: Float64Array[]; lossPct: Float64Array } {
  const { keeping } = crop
  const water = crop.waterPct.value
  // what is dry in a closed jar or bag feels its own equilibrium, not the damp of the place
  const sealed = keeping.keptDry && closedPackings.includes(packing)
  // what is fresh in a closed bag stands in air nearly saturated, however dry the place
  const bagged = !keeping.keptDry && packing === 'bag'
  const lossRate = lossPctPerHourPerKPa(crop, packing)
  const pullBy = (day: number): number => {
    const pull = sums.pull![day]!
    return bagged ? Math.min(pull, sums.saturation![day]! * (1 - bagHumidityPct / 100)) : pull
  }
  const lossPct = floatsOf(days + 1, (day) => water * (1 - Math.exp((-pullBy(day) * lossRate) / water)))
  const rootsAbove = keeping.rootsAbovePct?.value ?? 0
  const open = sealed ? 0 : 1
  const scales: [sum: Float64Array | undefined, by: number][] = [
    [sums.sprouting, 1 / (24 * pace)],
    [lossPct, 1 / bearableLossPct(crop)],
    [sealed ? sums.ageing : sums.rot, 1 / (24 * pace)],
    [sums.rooting, open / ((rootsGrow.dampPct - rootsAbove) * (keeping.rootingDays?.value ?? 1) * 24)],
    [sums.mould, open / (halfMoulds.pointsAbove * halfMoulds.days * 24)],
    [sums.frost, 1 / (halfFreezes.degreeDays * 24)],
    [sums.chilling, 1 / (chillsBelowC * (keeping.chillingDays?.value ?? 1) * 24)],
    [sums.greening, around.light ? 1 / (greensC.of * 24 * (keeping.greeningDays?.value ?? 1)) : 0],
    [sums.gas, gasShare(around.gas) / (24 * gasDays[keeping.ethyleneFelt.value])],
    // what is dry in a jar was picked over, and nothing runs there
    [sums.rot, sealed ? 0 : 1 / (24 * pace * cullsAge)],
  ]
  const comes = ([sum, by]: (typeof scales)[number]) => sum !== undefined && by !== 0 && sum[days] !== 0
  const rows = rowsOf(scales.filter(comes).length, days + 1, passingFloats)
  const ages = scales.map(([sum, by]) => {
    if (!comes([sum, by])) return never(days + 1)
    const age = rows.pop()!
    for (let day = 0; day <= days; day++) age[day] = sum![day]! * by
    return age
  })
  return { ages, lossPct }
}

/** Packings that shut out the air of the place. */
export const closedPackings: readonly Packing[] = ['jar', 'bag']

const gasShare = (gas: Surroundings['gas']): number => (typeof gas === 'number' ? gas : gasReaching[gas ?? 'none'])
