import type { CalculatorName } from '@vadose/core/worksheets'
import { grains } from '@vadose/core/line'
import { seedSpecies } from '@vadose/core/stores'
import { packings } from '@vadose/core/almanac'
import { say } from './say'
import { sayWord } from '../voice'

export type Unit = 'temperature' | 'g' | 'kg' | 'litres' | 'mm' | 'metres' | ''

export interface Field {
  id: string
  label: string
  kind: 'number' | 'choice' | 'crop' | 'yes-no' | 'date' | 'lines' | 'instant'
  /** converted where the household reads other units */
  unit?: Unit
  /** shown as it is */
  suffix?: string
  value: string | number | boolean
  choices?: readonly string[]
  optional?: boolean
  /** for lines: what each stands for, one row a line */
  columns?: { id: string; label: string; kind: 'number' | 'text' | 'yes-no'; unit?: Unit; optional?: boolean }[]
  help?: string
}

export interface Worksheet {
  name: CalculatorName
  group: string
  title: string
  asks: string
  equation: string
  source: string
  range: string
  fields: Field[]
  /** the answer's lines: path, words, unit */
  says: { path: string; label: string; unit?: Unit; suffix?: string; digits?: number; spread?: boolean }[]
}

const t = (id: string, label: string, value: number): Field => ({
  id,
  label,
  kind: 'number',
  unit: 'temperature',
  value,
})
const pct = (id: string, label: string, value: number): Field => ({ id, label, kind: 'number', suffix: '%', value })
const n = (id: string, label: string, value: number, unit: Unit = '', suffix = ''): Field => ({
  id,
  label,
  kind: 'number',
  value,
  ...(unit ? { unit } : {}),
  ...(suffix ? { suffix } : {}),
})
const crop = (value: string): Field => ({ id: 'crop', label: say('crop'), kind: 'crop', value })
const optional = (field: Field): Field => ({ ...field, optional: true })

/** The worksheets of the bench, in the order of the work. */
export const worksheets = (): readonly Worksheet[] => [
  {
    name: 'air',
    group: say('air'),
    title: say('whatTheAirCanDo'),
    asks: say('howHardDoesThisAir'),
    equation: say('thePullIsWhatThe'),
    source: say('ashrae'),
    range: '−20 to 60 °C',
    fields: [
      t('temperatureC', say('temperature'), 20),
      pct('relativeHumidityPct', say('humidity'), 60),
      optional(n('pressureKPa', say('airPressure'), 101.325, '', 'kPa')),
      optional(t('thenTemperatureC', say('warmedOrCooledTo'), 12)),
      optional(t('cropTemperatureC', say('aCropCarriedInAt'), 5)),
    ],
    says: [
      { path: 'vapourPressureDeficitKPa', label: say('pullOnWater'), suffix: 'kPa', digits: 2 },
      { path: 'dewPointC', label: say('dewFormsAt'), unit: 'temperature', digits: 1 },
      { path: 'wetBulbC', label: say('wetBulb'), unit: 'temperature', digits: 1 },
      { path: 'absoluteHumidityGPerM3', label: say('waterInIt'), suffix: 'g/m³', digits: 1 },
      { path: 'relativeHumidityThenPct', label: say('humidityThen'), suffix: '%' },
      { path: 'cropSweats', label: say('theColdCropSweats') },
    ],
  },
  {
    name: 'cure',
    group: say('dry'),
    title: say('howFarHasItCured'),
    asks: say('fromLoggedAirWeighingsAnd'),
    equation: say('dryingPowerAddsUpHour'),
    source: say('ourFitToPracticeRanges'),
    range: say('cropsThatAreCuredOr'),
    fields: [
      crop('garlic-hardneck'),
      { id: 'startedAt', label: say('hungOn'), kind: 'instant', value: '2026-07-12T08:00:00Z' },
      { id: 'airflow', label: say('airMoves'), kind: 'choice', choices: ['still', 'breezy', 'fan'], value: 'breezy' },
      {
        id: 'air',
        label: say('readingsOfTheAir'),
        kind: 'lines',
        columns: [
          { id: 'at', label: sayWord('instant'), kind: 'text' },
          { id: 'temperatureC', label: sayWord('temperature'), kind: 'number', unit: 'temperature' },
          { id: 'relativeHumidityPct', label: '%', kind: 'number' },
        ],
        value:
          '2026-07-12T08:00:00Z, 21, 62\n2026-07-15T08:00:00Z, 22, 58\n2026-07-19T08:00:00Z, 19, 66\n2026-07-24T08:00:00Z, 22, 57',
      },
      {
        id: 'weighings',
        label: say('weighings'),
        kind: 'lines',
        optional: true,
        columns: [
          { id: 'at', label: sayWord('instant'), kind: 'text' },
          { id: 'weightG', label: sayWord('weight'), kind: 'number', unit: 'g' },
        ],
        value: '2026-07-12T09:00:00Z, 600\n2026-07-17T09:00:00Z, 537\n2026-07-23T09:00:00Z, 489',
      },
    ],
    says: [
      { path: 'progress', label: say('done2'), suffix: 'share' },
      { path: 'readyAt', label: say('ready'), spread: true },
      { path: 'stalledHours', label: say('stalled'), suffix: 'hours' },
      { path: 'mouldRiskHours', label: say('dampEnoughForMould'), suffix: 'hours' },
    ],
  },
  {
    name: 'dry-weight',
    group: say('dry'),
    title: say('whatWillItWeighDry'),
    asks: say('freshWeightAndWaterTo'),
    equation: say('dryMatterStaysDriedFresh'),
    source: say('massBalance'),
    range: say('anyProduceWater'),
    fields: [
      n('freshWeightG', say('freshWeight'), 2000, 'g'),
      pct('freshMoisturePct', say('waterFresh'), 85.6),
      pct('targetMoisturePct', say('waterDried'), 20),
    ],
    says: [
      { path: 'targetWeightG', label: say('dryAt'), unit: 'g' },
      { path: 'waterToLoseG', label: say('waterToLose'), unit: 'g' },
      { path: 'dryingRatio', label: say('freshToDry'), suffix: 'to 1', digits: 2 },
    ],
  },
  {
    name: 'drying-fit',
    group: say('dry'),
    title: say('whenIsTheDryerDone'),
    asks: say('fromAFewWeighingsOf'),
    equation: say('moistureRatioExpKT'),
    source: say('newtonPageMidilliKucukYapar'),
    range: say('atLeastTwoWeighingsUp'),
    fields: [
      {
        id: 'weighings',
        label: say('weighings'),
        kind: 'lines',
        columns: [
          { id: 'hours', label: sayWord('hours'), kind: 'number' },
          { id: 'weightG', label: sayWord('weight'), kind: 'number', unit: 'g' },
        ],
        value: '0, 1000\n1.5, 742\n3, 548\n4.5, 417\n6, 326',
      },
      pct('freshMoisturePct', say('waterFresh'), 85.6),
      pct('targetMoisturePct', say('waterDried'), 20),
    ],
    says: [
      { path: 'targetWeightG', label: say('doneAt'), unit: 'g' },
      { path: 'readyAtHours', label: say('doneAfter'), suffix: 'hours', digits: 1, spread: true },
      { path: 'model', label: say('curve2') },
    ],
  },
  {
    name: 'dried-life',
    group: say('dry'),
    title: say('howLongDoDriedGoods'),
    asks: say('fruitOrVegetablesAtThe'),
    equation: say('lifeHalvesForEveryC'),
    source: 'NCHFP',
    range: say('cAirtightAndDark'),
    fields: [
      { id: 'kind', label: say('what'), kind: 'choice', choices: ['fruit', 'vegetable'], value: 'fruit' },
      t('temperatureC', say('temperature'), 18),
    ],
    says: [{ path: 'months', label: say('goodFor'), suffix: 'months', digits: 1 }],
  },
  {
    name: 'equilibrium-moisture',
    group: say('dry'),
    title: say('willThisRoomGetIt'),
    asks: say('moistureThatBeansAndGrain'),
    equation: say('modifiedHendersonRhExpA'),
    source: say('asabeD'),
    range: '0–50 °C, 10–90 %',
    fields: [
      { id: 'grain', label: say('grain'), kind: 'choice', choices: grains, value: 'bean' },
      t('temperatureC', say('temperature'), 20),
      pct('relativeHumidityPct', say('humidity'), 60),
    ],
    says: [
      { path: 'moistureWetBasisPct', label: say('settlesAt'), suffix: say('ofFreshWeight'), digits: 1 },
      { path: 'moistureDryBasisPct', label: say('byDryMatter'), suffix: '%', digits: 1 },
      { path: 'equation', label: say('equation') },
    ],
  },
  {
    name: 'seed-life',
    group: say('dry'),
    title: say('howLongDoesSeedLive'),
    asks: say('seedForSowingByIts'),
    equation: say('vKPKE'),
    source: say('ellisRobertsAndLaterConstants'),
    range: say('toCMoistureOfFresh'),
    fields: [
      { id: 'species', label: say('seed'), kind: 'choice', choices: Object.keys(seedSpecies), value: 'onion' },
      t('temperatureC', say('keptAt'), 10),
      pct('moistureWetBasisPct', say('moisture'), 8),
      pct('initialViabilityPct', say('aliveAtFirst'), 95),
      optional(n('days', say('after'), 1826, '', 'days')),
      optional(pct('targetViabilityPct', say('untilAlive'), 75)),
    ],
    says: [
      { path: 'viabilityPct', label: say('aliveThen'), suffix: '%', digits: 1 },
      { path: 'daysToTarget', label: say('fallsToTheTargetAfter'), suffix: 'days' },
    ],
  },
  {
    name: 'blanch',
    group: say('freeze'),
    title: say('howLongToBlanch'),
    asks: say('byCropCutAndHeight'),
    equation: say('fromTheTableAMinute'),
    source: say('nchfpBlanchingTimesSomeKitchen'),
    range: say('cropsThatAreFrozen'),
    fields: [
      crop('bean-green'),
      optional({ id: 'cut', label: say('cut'), kind: 'choice', choices: [], value: '' }),
      n('altitudeM', say('heightAboveSea'), 0, 'metres'),
    ],
    says: [
      { path: 'cut', label: say('cut') },
      { path: 'waterMinutes', label: say('inBoilingWater'), suffix: 'minutes', digits: 1 },
      { path: 'steamMinutes', label: say('inSteam'), suffix: 'minutes', digits: 1 },
      { path: 'note', label: say('mind') },
    ],
  },
  {
    name: 'freeze-time',
    group: say('freeze'),
    title: say('howLongToFreezeThrough'),
    asks: say('aFlatBagAJar'),
    equation: say('phamCoolingAndFreezingHeat'),
    source: say('phamPlankSinghHeldman'),
    range: 'freezer −40 to −15 °C; ±10 %',
    fields: [
      { id: 'shape', label: say('shape'), kind: 'choice', choices: ['slab', 'cylinder', 'sphere'], value: 'slab' },
      n('thicknessMm', say('thickness'), 40, 'mm'),
      t('freezerTemperatureC', say('freezer'), -20),
      optional(t('initialTemperatureC', say('goesInAt'), 15)),
      optional(pct('waterPct', say('waterInIt'), 85)),
      n('surfaceCoefficientWPerM2K', say('coldTakenAway'), 8, '', 'W/(m²·K)'),
      optional(n('densityKgPerM3', say('density'), NaN, '', 'kg/m³')),
      optional(n('frozenConductivityWPerMK', say('conductivityFrozen'), NaN, '', 'W/(m·K)')),
      optional(n('latentHeatKJPerKg', say('latentHeat'), NaN, '', 'kJ/kg')),
      optional({ ...t('initialFreezingPointC', say('startsToFreezeAt'), NaN) }),
    ],
    says: [
      { path: 'hours', label: say('frozenAfter'), suffix: 'hours', digits: 1 },
      { path: 'method', label: say('method') },
    ],
  },
  {
    name: 'freezer-load',
    group: say('freeze'),
    title: say('howMuchAtOnce'),
    asks: say('whatTheFreezerFreezesIn'),
    equation: say('atMostLbFreshFood'),
    source: 'NCHFP',
    range: '5–5,000 litres',
    fields: [n('freezerLitres', say('freezer'), 200, 'litres'), n('produceKg', say('toFreeze'), 18, 'kg')],
    says: [
      { path: 'maxKgPerDay', label: say('atMostADay'), unit: 'kg', digits: 1 },
      { path: 'carefulKgPerDay', label: say('better'), unit: 'kg', digits: 1 },
      { path: 'days', label: say('takes'), suffix: 'days' },
    ],
  },
  {
    name: 'frozen-life',
    group: say('freeze'),
    title: say('whatIsLeftOfA'),
    asks: say('afterTheTemperaturesItHas'),
    equation: say('qualityGoesAtAPace'),
    source: say('iirNchfpWhereTheTable'),
    range: say('toCQualityNotSafety'),
    fields: [
      crop('bean-green'),
      {
        id: 'temperatures',
        label: say('itWasAt'),
        kind: 'lines',
        columns: [
          { id: 'temperatureC', label: sayWord('temperature'), kind: 'number', unit: 'temperature' },
          { id: 'days', label: sayWord('days'), kind: 'number' },
        ],
        value: '-18, 120\n-12, 10',
      },
    ],
    says: [
      { path: 'spentMonths', label: say('usedUp'), suffix: 'months', digits: 1 },
      { path: 'monthsLeft', label: say('leftAtC'), suffix: 'months', digits: 1, spread: true },
    ],
  },
  {
    name: 'power-cut',
    group: say('freeze'),
    title: say('thePowerIsOff'),
    asks: say('howLongIsItSafe'),
    equation: say('theRuleDecidesHoursFull'),
    source: say('usdaFsisRuleForPace'),
    range: say('doorShutRoomC'),
    fields: [
      n('freezerLitres', say('freezer'), 200, 'litres'),
      n('fillFraction', say('howFull'), 0.7, '', 'of 1'),
      n('hoursOff', say('hoursOff'), 30, '', 'h'),
      t('roomTemperatureC', say('room'), 20),
      optional(t('startTemperatureC', say('freezerStoodAt'), -18)),
      optional(t('measuredC', say('readInTheFoodNow'), -3)),
    ],
    says: [
      { path: 'safeHours', label: say('theRuleGivesIt'), suffix: 'hours', digits: 0 },
      { path: 'outcome', label: say('so') },
      { path: 'advice', label: say('do') },
    ],
  },
  {
    name: 'glut',
    group: say('freeze'),
    title: say('aGlutAndAFew'),
    asks: say('whichBatchesToFreezeWhen'),
    equation: say('theHeapWhoseHourComes'),
    source: say('nchfpForPanAndFreezer'),
    range: say('cropsThatAreBlanchedOr'),
    fields: [
      {
        id: 'heaps',
        label: say('whatCameIn'),
        kind: 'lines',
        columns: [
          { id: 'crop', label: sayWord('crop'), kind: 'text' },
          { id: 'kg', label: sayWord('weight'), kind: 'number', unit: 'kg' },
          { id: 'hoursSincePicking', label: say('hoursSincePicking'), kind: 'number' },
        ],
        value: 'bean-green, 4, 3\nsweetcorn, 6, 1\nraspberry, 2, 5',
      },
      {
        id: 'evenings',
        label: say('eveningsFree'),
        kind: 'lines',
        columns: [
          { id: 'inHours', label: say('inSoManyHours'), kind: 'number' },
          { id: 'hours', label: say('hoursFree'), kind: 'number' },
        ],
        value: '2, 3\n26, 3',
      },
      n('panLitres', say('pan'), 8, 'litres'),
      n('trays', say('trays'), 4),
      n('kgPerTray', say('onATray'), 1.2, 'kg'),
      n('freezerLitres', say('freezer'), 250, 'litres'),
    ],
    says: [
      { path: 'kgFrozen', label: say('frozen'), unit: 'kg', digits: 1 },
      { path: 'kgLate', label: say('pastItsBest2'), unit: 'kg', digits: 1 },
      { path: 'leftOver', label: say('doesNotFit') },
    ],
  },
  {
    name: 'keep',
    group: say('keep'),
    title: say('howLongDoesItKeep'),
    asks: say('lifeOfOnePieceIn'),
    equation: say('endsRaceAgeingSproutingShrivel'),
    source: say('hbBeckerFrickeSastryRobinson'),
    range: '−10 to 40 °C, 10–100 %',
    fields: [
      crop('onion-storing'),
      t('temperatureC', say('temperature'), 12),
      pct('relativeHumidityPct', say('humidity'), 62),
      { id: 'light', label: say('daylightFallsOnIt'), kind: 'yes-no', value: false },
      optional({ id: 'packing', label: say('liesIn'), kind: 'choice', choices: Object.keys(packings), value: '' }),
      {
        id: 'gas',
        label: say('ripeningFruitBesideIt'),
        kind: 'choice',
        choices: ['none', 'little', 'some', 'much'],
        value: 'none',
      },
    ],
    says: [
      { path: 'lifeDays', label: say('keeps'), suffix: 'days', digits: 0, spread: true },
      { path: 'endedBy', label: say('endsBy') },
      { path: 'weightLossPctPerMonth', label: say('losesAMonth'), suffix: say('ofItsWeight'), digits: 1 },
      { path: 'respirationWPerKg', label: say('givesOff'), suffix: 'W/kg', digits: 4 },
    ],
  },
  {
    name: 'check-size',
    group: say('lookOver'),
    title: say('howManyToLookAt'),
    asks: say('toBeSoSureOf'),
    equation: say('theChanceThatAllLooked'),
    source: say('exactCannonRoeTablesAgree'),
    range: say('lotsUpToAMillion'),
    fields: [
      n('lotSize', say('inTheLot'), 180, '', 'pieces'),
      n('badFraction', say('badShareWorthFinding'), 0.1, '', 'of 1'),
      n('confidence', say('howSure'), 0.9, '', 'of 1'),
    ],
    says: [{ path: 'lookAt', label: say('lookAt2'), suffix: 'pieces' }],
  },
  {
    name: 'check-update',
    group: say('lookOver'),
    title: say('whatDidLookingTeach'),
    asks: say('lifeBeforeAndAfterWhat'),
    equation: say('beliefOverHowLongThis'),
    source: say('bayesPriorFromTheKeeping'),
    range: say('aCropInSteadyAir'),
    fields: [
      crop('garlic-hardneck'),
      optional(t('temperatureC', say('keptAt'), 12)),
      optional(pct('relativeHumidityPct', say('humidity'), 62)),
      {
        id: 'checks',
        label: say('looks2'),
        kind: 'lines',
        columns: [
          { id: 'day', label: sayWord('day'), kind: 'number' },
          { id: 'lookedAt', label: say('lookedAt'), kind: 'number' },
          { id: 'bad', label: sayWord('bad'), kind: 'number' },
        ],
        value: '30, 20, 0\n75, 25, 2',
      },
    ],
    says: [
      { path: 'lifeDays', label: say('lives'), suffix: 'days', digits: 0, spread: true },
      { path: 'soundFractionNow', label: say('soundNow'), suffix: 'share' },
      { path: 'nextCheckInDays', label: say('lookAgainIn'), suffix: 'days' },
    ],
  },
  {
    name: 'check-policy',
    group: say('lookOver'),
    title: say('everySoManyWeeksOr'),
    asks: say('simulatedStoresLookedOverBoth'),
    equation: say('eachPieceFailsInIts'),
    source: say('simulationSeeded'),
    range: say('piecesTakesSomeSeconds'),
    fields: [
      crop('onion-storing'),
      t('temperatureC', say('temperature'), 10),
      pct('relativeHumidityPct', say('humidity'), 66),
      n('pieces', say('pieces'), 120),
      n('everyWeeks', say('every'), 2, '', 'weeks'),
    ],
    says: [
      { path: 'fewerLostPct', label: say('fewerSpoiltByNeighbours'), suffix: '%', digits: 0 },
      { path: 'days', label: say('followedFor'), suffix: 'days' },
    ],
  },
  {
    name: 'run-out',
    group: say('useUp'),
    title: say('whenDoesItRunOut'),
    asks: say('fromWhatWasUsedAnd'),
    equation: say('rateOfUseIsGamma'),
    source: say('bayes'),
    range: say('atLeastOneUse'),
    fields: [
      n('onHand', say('onHand'), 6000, '', say('gOrPieces')),
      {
        id: 'uses',
        label: say('used'),
        kind: 'lines',
        columns: [
          { id: 'date', label: sayWord('day'), kind: 'text' },
          { id: 'amount', label: sayWord('amount'), kind: 'number' },
        ],
        value: '2026-09-01, 300\n2026-09-09, 250\n2026-09-18, 400\n2026-09-27, 300',
      },
      { id: 'today', label: say('today'), kind: 'date', value: '2026-10-02' },
    ],
    says: [
      { path: 'perWeek', label: say('aWeek'), digits: 0, spread: true },
      { path: 'runsOutOn', label: say('runsOut'), spread: true },
    ],
  },
  {
    name: 'planting',
    group: say('useUp'),
    title: say('howMuchToPlant'),
    asks: say('backFromTheTableWith'),
    equation: say('liftWantedKeptBackLost'),
    source: say('arithmetic'),
    range: 'shares 0–0.95',
    fields: [
      crop('garlic-hardneck'),
      n('wantedUnits', say('wantedAtTheTable'), 120, '', 'pieces'),
      n('unitsPerPlanted', say('eachPlantedGives'), 8, '', 'pieces'),
      n('keepBackFraction', say('keptBack2'), 0.2, '', 'of 1'),
      n('lossFraction', say('lostInStore'), 0.1, '', 'of 1'),
    ],
    says: [
      { path: 'toPlant', label: say('plant'), suffix: 'pieces' },
      { path: 'toLift', label: say('lift'), suffix: 'pieces' },
      { path: 'toKeepBack', label: say('keepBack'), suffix: 'pieces' },
    ],
  },
  {
    name: 'brine',
    group: say('useUp'),
    title: say('howMuchSalt'),
    asks: say('byTheWatersWeightOr'),
    equation: say('saltPerCentWaterOr'),
    source: say('arithmeticStrengthsByNchfpAnd'),
    range: '0.5–26 %',
    fields: [
      { id: 'method', label: say('perCentOf'), kind: 'choice', choices: ['of-water', 'of-total'], value: 'of-total' },
      n('waterG', say('water3'), 400, 'g'),
      n('produceG', say('produce'), 600, 'g'),
      pct('saltPct', say('salt'), 2.5),
    ],
    says: [
      { path: 'saltG', label: say('salt'), unit: 'g', digits: 1 },
      { path: 'note', label: say('mind') },
    ],
  },
]

export const worksheetNamed = (name: string): Worksheet | undefined => worksheets().find((w) => w.name === name)
