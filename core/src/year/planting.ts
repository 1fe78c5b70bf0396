import { told } from '../message'
import { Refusal, requireWithin } from '../refusal'

export interface PlantingAnswer {
  /** pieces to plant */
  toPlant: number
  /** pieces to lift: what is eaten, what is lost in store and what is kept back */
  toLift: number
  /** of those, kept back for planting */
  toKeepBack: number
  years: { year: number; planted: number; lifted: number; keptBack: number; eaten: number }[]
}

const largest = 1e9

/**
 * How much to plant for what is wanted at the table.
 * lifted · (1 − keepBack) · (1 − loss) = wanted, planted = lifted ÷ units a piece planted. With a keep-back share, each
 * next year plants what was kept back and did not go bad in store, and never more than is needed: what would be kept
 * beyond that is eaten. Without one, stock is bought and every year plants the same.
 * @param wantedUnits pieces eaten, after losses in store
 * @param unitsPerPlanted pieces lifted for each planted: a clove makes 1 head, a shallot 5–8
 * @param keepBackFraction share of the harvest put by for planting, 0…0.95; 0 when stock is bought
 * @param lossFraction share lost in store, 0…0.95, of what is eaten and of what is kept back alike
 * @throws Refusal `out-of-range`
 */
export function planting(
  wantedUnits: number,
  unitsPerPlanted: number,
  keepBackFraction = 0,
  lossFraction = 0,
  yearsAhead = 5,
): PlantingAnswer {
  requireWithin(wantedUnits, 0, largest, 'wantedUnits', 'pieces')
  requireWithin(unitsPerPlanted, 0.01, 10000, 'unitsPerPlanted', 'pieces')
  requireWithin(keepBackFraction, 0, 0.95, 'keepBackFraction', '')
  requireWithin(lossFraction, 0, 0.95, 'lossFraction', '')
  const kept = 1 - lossFraction
  const toLift = Math.ceil(wantedUnits / ((1 - keepBackFraction) * kept) - 1e-9)
  const toPlant = Math.ceil(toLift / unitsPerPlanted - 1e-9)
  if (toLift > largest) throw new Refusal('out-of-range', told('year.tooMuchWanted'), 'wantedUnits')
  // what has to be kept back so that, after losses, next year's need can be planted
  const enough = Math.ceil(toPlant / kept - 1e-9)
  const keepBack = (lifted: number) => Math.min(Math.round(lifted * keepBackFraction), enough)
  const years: PlantingAnswer['years'] = []
  let planted = toPlant
  for (let year = 1; year <= yearsAhead; year++) {
    const lifted = Math.floor(planted * unitsPerPlanted + 1e-9)
    const keptBack = keepBack(lifted)
    years.push({ year, planted, lifted, keptBack, eaten: Math.floor((lifted - keptBack) * kept + 1e-9) })
    planted = keepBackFraction > 0 ? Math.min(toPlant, Math.floor(keptBack * kept + 1e-9)) : toPlant
  }
  return { toPlant, toLift, toKeepBack: Math.round(toLift * keepBackFraction), years }
}
