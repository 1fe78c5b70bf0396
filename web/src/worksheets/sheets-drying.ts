import { temperature } from '../households'
import { grains } from '@vadose/core/line'
import { seedSpecies } from '@vadose/core/stores'
import { crop, n, optional, pct, t, type Worksheet } from './field'
import { say } from './say'

/** Air, curing, drying and what is dried. */
export const dryingSheets = (): Worksheet[] => [
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
          { id: 'at', label: say('instant'), kind: 'text' },
          { id: 'temperatureC', label: say('temperatureWord'), kind: 'number', unit: 'temperature' },
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
          { id: 'at', label: say('instant'), kind: 'text' },
          { id: 'weightG', label: say('weightWord'), kind: 'number', unit: 'g' },
        ],
        value: '2026-07-12T09:00:00Z, 600\n2026-07-17T09:00:00Z, 537\n2026-07-23T09:00:00Z, 489',
      },
    ],
    says: [
      { path: 'progress', label: say('done2'), suffix: 'share' },
      { path: 'readyAt', label: say('ready'), spread: true },
      { path: 'stalledHours', label: say('stalled'), suffix: say('hours') },
      { path: 'mouldRiskHours', label: say('dampEnoughForMould'), suffix: say('hours') },
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
      { path: 'dryingRatio', label: say('freshToDry'), suffix: say('toOne'), digits: 2 },
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
          { id: 'hours', label: say('hours'), kind: 'number' },
          { id: 'weightG', label: say('weightWord'), kind: 'number', unit: 'g' },
        ],
        value: '0, 1000\n1.5, 742\n3, 548\n4.5, 417\n6, 326',
      },
      pct('freshMoisturePct', say('waterFresh'), 85.6),
      pct('targetMoisturePct', say('waterDried'), 20),
    ],
    says: [
      { path: 'targetWeightG', label: say('doneAt'), unit: 'g' },
      { path: 'readyAtHours', label: say('doneAfter'), suffix: say('hours'), digits: 1, spread: true },
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
    range: say('cAirtightAndDark', { least: temperature(0, 0), most: temperature(40, 0) }),
    fields: [
      { id: 'kind', label: say('what'), kind: 'choice', choices: ['fruit', 'vegetable'], value: 'fruit' },
      t('temperatureC', say('temperature'), 18),
    ],
    says: [{ path: 'months', label: say('goodFor'), suffix: say('monthsWord'), digits: 1 }],
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
    range: say('toCMoistureOfFresh', { least: temperature(-20, 0), most: temperature(50, 0) }),
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
      { path: 'daysToTarget', label: say('fallsToTheTargetAfter'), suffix: say('days') },
    ],
  },
]
