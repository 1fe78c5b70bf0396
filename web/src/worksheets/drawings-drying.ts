import { saturationVapourPressureKPa } from '@vadose/core/air'
import { calculators } from '@vadose/core/worksheets'
import { line, steps, type Drawings } from './curve'

const dayOf = (iso: string, from: string) => (Date.parse(iso) - Date.parse(from)) / 86_400_000

/** Air, curing, drying and seed. */
export const dryingDrawings: Drawings<
  'air' | 'cure' | 'dry-weight' | 'drying-fit' | 'dried-life' | 'equilibrium-moisture' | 'seed-life'
> = {
  air: (i, a) => ({
    kind: 'plot',
    x: { label: 'Temperature', quantity: 'temperatureC' },
    y: { label: 'Water vapour', unit: 'kPa', min: 0 },
    lines: [
      {
        label: 'all the air can hold',
        points: line(steps(-5, Math.max(35, i.temperatureC + 5)), saturationVapourPressureKPa),
      },
      {
        label: 'cooling it without drying',
        dashed: true,
        points: [
          [a.dewPointC, a.vapourPressureKPa],
          [i.temperatureC, a.vapourPressureKPa],
        ],
      },
    ],
    dots: [
      { x: i.temperatureC, y: a.vapourPressureKPa, label: 'this air' },
      { x: a.dewPointC, y: a.vapourPressureKPa, label: 'dew' },
    ],
  }),
  cure: (i, a) => ({
    kind: 'spans',
    axis: { label: 'Days since it was hung', unit: 'days', min: 0 },
    rows: [
      {
        label: 'Ready, 8 chances in 10',
        from: dayOf(a.readyAt.p10, i.startedAt),
        to: dayOf(a.readyAt.p90, i.startedAt),
        mid: dayOf(a.readyAt.p50, i.startedAt),
        says: `${Math.round(a.progress * 100)} % done`,
      },
      {
        label: 'Air known',
        from: 0,
        to: dayOf(i.air.at(-1)?.at ?? i.startedAt, i.startedAt),
        hatched: true,
        says: 'measured',
      },
    ],
  }),
  'dry-weight': (i, a) => ({
    kind: 'bars',
    axis: { label: 'Weight', quantity: 'weightG', min: 0 },
    bars: [
      {
        label: 'Fresh',
        parts: [
          { label: 'dry matter', value: i.freshWeightG * (1 - i.freshMoisturePct / 100) },
          { label: 'water', value: (i.freshWeightG * i.freshMoisturePct) / 100, hatched: true },
        ],
        says: `${i.freshMoisturePct} % water`,
      },
      {
        label: 'Dried',
        parts: [
          { label: 'dry matter', value: i.freshWeightG * (1 - i.freshMoisturePct / 100) },
          { label: 'water', value: (a.targetWeightG * i.targetMoisturePct) / 100, hatched: true },
        ],
        says: `${i.targetMoisturePct} % water`,
      },
    ],
  }),
  'drying-fit': (i, a) => ({
    kind: 'plot',
    x: { label: 'Hours in the dryer', unit: 'h', min: 0 },
    y: { label: 'Weight', quantity: 'weightG', min: 0 },
    lines: [{ label: `${a.model} curve`, points: a.curve.map((p) => [p.hours, p.weightG]) }],
    dots: i.weighings.map((w) => ({ x: w.hours, y: w.weightG })),
    rules: [
      { y: a.targetWeightG, label: 'dry at this weight' },
      { x: a.readyAtHours.p50, label: 'done' },
    ],
  }),
  'dried-life': (i) => ({
    kind: 'plot',
    x: { label: 'Temperature of the place', quantity: 'temperatureC' },
    y: { label: 'Good for', unit: 'months', min: 0 },
    lines: (['fruit', 'vegetable'] as const).map((kind) => ({
      label: kind,
      dashed: kind !== i.kind,
      points: line(steps(5, 35), (t) => calculators['dried-life']({ kind, temperatureC: t }).months),
    })),
    rules: [{ x: i.temperatureC, label: 'here' }],
  }),
  'equilibrium-moisture': (i, a) => ({
    kind: 'plot',
    x: { label: 'Humidity of the air', unit: '%', min: 10, max: 90 },
    y: { label: 'Moisture it settles at', unit: '% of fresh weight', min: 0 },
    lines: [
      {
        label: `at this temperature`,
        points: line(
          steps(10, 90),
          (rh) => calculators['equilibrium-moisture']({ ...i, relativeHumidityPct: rh }).moistureWetBasisPct,
        ),
      },
    ],
    dots: [{ x: i.relativeHumidityPct, y: a.moistureWetBasisPct, label: 'here' }],
    ...(i.grain === 'bean' || i.grain === 'maize'
      ? { rules: [{ y: 14, label: 'keeps a year below this (MWPS-13)' }] }
      : {}),
  }),
  'seed-life': (i, a) => {
    const end = Math.max(a.daysToTarget, a.days, 1) * 1.4
    return {
      kind: 'plot',
      x: { label: 'Years in store', unit: 'years', min: 0 },
      y: { label: 'Seeds alive', unit: '%', min: 0, max: 100 },
      lines: [
        {
          label: 'alive',
          points: line(steps(0, end), (d) => calculators['seed-life']({ ...i, days: d }).viabilityPct).map(([d, v]) => [
            d / 365.25,
            v,
          ]),
        },
      ],
      rules: [{ y: a.targetViabilityPct, label: 'sow again before this' }],
      dots: [{ x: a.days / 365.25, y: a.viabilityPct, label: 'asked' }],
    }
  },
}
