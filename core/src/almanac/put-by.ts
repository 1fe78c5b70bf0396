import type { Prose } from '../message'
import type { Crop, Keeping, Range, SourceId } from './crop'
import { cautions } from './cautions'
import { faults } from './faults'

/** What is in a closed jar, a crock or a pot: its own life, in days at a temperature, and nothing of the fresh crop's. */
interface PutBy {
  /** after the crop's name: “in jars” */
  called: string
  piece: Crop['piece']
  pieceG: number
  packs: Crop['packs']
  days: Range
  atC: number
  q10: number
  best: Range
  source: SourceId
  atHome: Prose
  freezesAtC?: number
  faults: Crop['faults']
  cautions: Crop['cautions']
}

/** half of it is past its best so much later than the middle of what a book says. Judgement. */
export const halfAfter = 1.13
/** So much later than a day somebody named, which means that nearly all is good till then. Fitted to nine in ten. */
export const halfAfterSaid = 1.53

const middle = ([lo, hi]: Range): number => Math.sqrt(lo * hi)

/** The keeping of what neither breathes, sprouts nor shrivels: it only ages, faster the warmer it is. */
export const ageingOnly = ({
  days,
  atC,
  q10,
  best,
  source,
  atHome,
  freezesAtC,
  half = halfAfter,
}: Pick<PutBy, 'days' | 'atC' | 'q10' | 'best' | 'source' | 'atHome' | 'freezesAtC'> & { half?: number }): Keeping => ({
  bestTemperatureC: { value: best, source },
  bestHumidityPct: { value: [0, 100], source: 'judgement' },
  lifeDays: { value: [Math.round(days[0]), Math.round(days[1])], source },
  atHome: { value: atHome, source: 'practice' },
  keptDry: true,
  transpiration: { value: 0, source: 'judgement' },
  largestLossPct: { value: 20, source: 'judgement' },
  ageingQ10: { value: q10, source: 'judgement' },
  ageingDays: { value: Math.round(middle(days) * half), source },
  ageingAtC: { value: atC, source },
  ...(freezesAtC === undefined ? {} : { freezesAtC: { value: freezesAtC, source: 'judgement' } }),
  ethyleneGiven: { value: 'none', source: 'judgement' },
  ethyleneFelt: { value: 'none', source: 'judgement' },
})

function putBy(crop: Crop, of: PutBy): Crop {
  const made: Crop = {
    ...crop,
    name: `${crop.name}, ${of.called}`,
    plural: `${crop.plural} ${of.called}`,
    piece: of.piece,
    pieceG: { value: of.pieceG, source: 'judgement' },
    necks: [],
    packs: of.packs,
    needs: ['dark'],
    keeping: ageingOnly(of),
    faults: of.faults,
    cautions: [...of.cautions, ...crop.cautions.filter(({ id }) => !of.cautions.some((own) => own.id === id))],
  }
  delete made.freezing
  delete made.dehydrating
  delete made.curing
  delete made.readiness
  delete made.cleaning
  return made
}

const jars = { one: 'jar', many: 'jars' }

/**
 * In closed jars, processed by a tested recipe: good for a year, best under 21 °C; a glass that freezes bursts.
 * @source USDA Complete Guide to Home Canning: 10–21 °C, use within a year (recalled, not re-read)
 */
export const jarredForm = (crop: Crop): Crop =>
  putBy(crop, {
    called: 'in jars',
    piece: jars,
    pieceG: 500,
    packs: [{ id: 'jar', label: 'closed jar' }],
    days: [365, 550],
    atC: 18,
    q10: 2,
    best: [8, 21],
    source: 'cghc',
    atHome: 'a cool, dark, dry cupboard or cellar',
    freezesAtC: -2,
    faults: [faults['jar-seal'], faults['jar-spoilt']],
    cautions: [cautions['low-acid'], cautions.jars],
  })

/**
 * Salted and soured: months in the fridge once it tastes right, weeks in a kitchen.
 * @source NCHFP: fully fermented kraut and pickles, 4–6 months in the fridge (recalled, not re-read)
 */
export const brinedForm = (crop: Crop): Crop =>
  putBy(crop, {
    called: 'in brine',
    piece: jars,
    pieceG: 800,
    packs: [{ id: 'jar', label: 'jar or crock' }],
    days: [120, 180],
    atC: 4,
    q10: 3,
    best: [1, 5],
    source: 'nchfp',
    atHome: 'the fridge, under its brine',
    freezesAtC: -3,
    faults: [faults['brine-slime']],
    cautions: [cautions.brine],
  })

/**
 * Cooked: three or four days in the fridge, hours out of it.
 * @source USDA FSIS: leftovers 3 to 4 days at 4 °C (recalled, not re-read)
 */
export const cookedForm = (crop: Crop): Crop =>
  putBy(crop, {
    called: 'cooked',
    piece: { one: 'portion', many: 'portions' },
    pieceG: 350,
    packs: [{ id: 'jar', label: 'closed box' }],
    days: [3, 4],
    atC: 4,
    q10: 5,
    best: [0, 4],
    source: 'fsis',
    atHome: 'the fridge, cooled within two hours',
    freezesAtC: -2,
    faults: [faults['left-too-long']],
    cautions: [cautions.leftovers],
  })

/** Two or three months at −18 °C before a cooked dish tastes of the freezer. @source USDA FSIS (recalled, not re-read) */
export const frozenDishDays: Range = [61, 91]
