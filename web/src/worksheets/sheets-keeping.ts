import { packings } from '@vadose/core/almanac'
import { sayWord } from '../voice'
import { crop, n, optional, pct, t, type Worksheet } from './field'
import { say } from './say'

/** Keeping, looking over, using up, planting, brine. */
export const keepingSheets = (): Worksheet[] => [
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
