import { saturationVapourPressureKPa } from '@vadose/core/air'
import { calculators } from '@vadose/core/worksheets'
import { line, steps, type Drawings } from './curve'
import { say } from './say'

const dayOf = (iso: string, from: string) => (Date.parse(iso) - Date.parse(from)) / 86_400_000

/** Air, curing, drying and seed. */
export const dryingDrawings: Drawings<
  'air' | 'cure' | 'dry-weight' | 'drying-fit' | 'dried-life' | 'equilibrium-moisture' | 'seed-life'
> = {
  air: (i, a) => ({
    kind: 'plot',
    x: { label: say('temperature'), quantity: 'temperatureC' },
    y: { label: say('waterVapour'), unit: 'kPa', min: 0 },
    lines: [
      {
        label: say('allTheAirCanHold'),
        points: line(steps(-5, Math.max(35, i.temperatureC + 5)), saturationVapourPressureKPa),
      },
      {
        label: say('coolingItWithoutDrying'),
        dashed: true,
        points: [
          [a.dewPointC, a.vapourPressureKPa],
          [i.temperatureC, a.vapourPressureKPa],
        ],
      },
    ],
    dots: [
      { x: i.temperatureC, y: a.vapourPressureKPa, label: say('thisAir') },
      { x: a.dewPointC, y: a.vapourPressureKPa, label: say('dew') },
    ],
  }),
  cure: (i, a) => ({
    kind: 'spans',
    axis: { label: say('daysSinceItWasHung'), unit: say('days'), min: 0 },
    rows: [
      {
        label: say('readyChancesIn'),
        from: dayOf(a.readyAt.p10, i.startedAt),
        to: dayOf(a.readyAt.p90, i.startedAt),
        mid: dayOf(a.readyAt.p50, i.startedAt),
        says: say('done', { progress: Math.round(a.progress * 100) }),
      },
      {
        label: say('airKnown'),
        from: 0,
        to: dayOf(i.air.at(-1)?.at ?? i.startedAt, i.startedAt),
        hatched: true,
        says: say('measured'),
      },
    ],
  }),
  'dry-weight': (i, a) => ({
    kind: 'bars',
    axis: { label: say('weight'), quantity: 'weightG', min: 0 },
    bars: [
      {
        label: say('fresh'),
        parts: [
          { label: say('dryMatter'), value: i.freshWeightG * (1 - i.freshMoisturePct / 100) },
          { label: say('waterWord'), value: (i.freshWeightG * i.freshMoisturePct) / 100, hatched: true },
        ],
        says: say('water', { freshMoisturePct: i.freshMoisturePct }),
      },
      {
        label: say('dried'),
        parts: [
          { label: say('dryMatter'), value: i.freshWeightG * (1 - i.freshMoisturePct / 100) },
          { label: say('waterWord'), value: (a.targetWeightG * i.targetMoisturePct) / 100, hatched: true },
        ],
        says: say('water2', { targetMoisturePct: i.targetMoisturePct }),
      },
    ],
  }),
  'drying-fit': (i, a) => ({
    kind: 'plot',
    x: { label: say('hoursInTheDryer'), unit: say('h'), min: 0 },
    y: { label: say('weight'), quantity: 'weightG', min: 0 },
    lines: [{ label: say('curve', { model: a.model }), points: a.curve.map((p) => [p.hours, p.weightG]) }],
    dots: i.weighings.map((w) => ({ x: w.hours, y: w.weightG })),
    rules: [
      { y: a.targetWeightG, label: say('dryAtThisWeight') },
      { x: a.readyAtHours.p50, label: say('doneWord') },
    ],
  }),
  'dried-life': (i) => ({
    kind: 'plot',
    x: { label: say('temperatureOfThePlace'), quantity: 'temperatureC' },
    y: { label: say('goodFor'), unit: say('monthsWord'), min: 0 },
    lines: (['fruit', 'vegetable'] as const).map((kind) => ({
      label: kind,
      dashed: kind !== i.kind,
      points: line(steps(5, 35), (t) => calculators['dried-life']({ kind, temperatureC: t }).months),
    })),
    rules: [{ x: i.temperatureC, label: say('here') }],
  }),
  'equilibrium-moisture': (i, a) => ({
    kind: 'plot',
    x: { label: say('humidityOfTheAir'), unit: '%', min: 10, max: 90 },
    y: { label: say('moistureItSettlesAt'), unit: say('ofFreshWeight'), min: 0 },
    lines: [
      {
        label: say('atThisTemperature'),
        points: line(
          steps(10, 90),
          (rh) => calculators['equilibrium-moisture']({ ...i, relativeHumidityPct: rh }).moistureWetBasisPct,
        ),
      },
    ],
    dots: [{ x: i.relativeHumidityPct, y: a.moistureWetBasisPct, label: say('here') }],
    ...(i.grain === 'bean' || i.grain === 'maize' ? { rules: [{ y: 14, label: say('keepsAYearBelowThis') }] } : {}),
  }),
  'seed-life': (i, a) => {
    const end = Math.max(a.daysToTarget, a.days, 1) * 1.4
    return {
      kind: 'plot',
      x: { label: say('yearsInStore'), unit: say('years'), min: 0 },
      y: { label: say('seedsAlive'), unit: '%', min: 0, max: 100 },
      lines: [
        {
          label: say('alive'),
          points: line(steps(0, end), (d) => calculators['seed-life']({ ...i, days: d }).viabilityPct).map(([d, v]) => [
            d / 365.25,
            v,
          ]),
        },
      ],
      rules: [{ y: a.targetViabilityPct, label: say('sowAgainBeforeThis') }],
      dots: [{ x: a.days / 365.25, y: a.viabilityPct, label: say('asked') }],
    }
  },
}
