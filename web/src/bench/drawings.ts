import { saturationVapourPressureKPa } from '@vadose/core/air'
import { calculators, type CalculatorName, type CropLookup, type Progress } from '@vadose/core/bench'
import { checkSize } from '@vadose/core/checks'
import { beliefAfterChecks } from '@vadose/core/checks'
import {
  keepAt,
  lifeModelFromSpread,
  meanSoundShare,
  priorWeights,
  steadyLife,
  usualPacking,
} from '@vadose/core/keeping'
import type { Drawing, PlotDrawing } from './drawing'

type Of<N extends CalculatorName> = (typeof calculators)[N]
/** Draws one calculator's answer from what was asked and answered. */
export type Draw<N extends CalculatorName> = (
  input: Parameters<Of<N>>[0],
  answer: ReturnType<Of<N>>,
  cropOf: CropLookup,
  progress: Progress,
) => Drawing

const steps = (from: number, to: number, n = 60) =>
  Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n)
const dayOf = (iso: string, from: string) => (Date.parse(iso) - Date.parse(from)) / 86_400_000

/** A value where the model has one; points it refuses are left out of a curve. */
function line(xs: number[], f: (x: number) => number): [number, number][] {
  const points: [number, number][] = []
  for (const x of xs) {
    try {
      const y = f(x)
      if (Number.isFinite(y)) points.push([x, y])
    } catch {
      // outside the model's range
    }
  }
  return points
}

/** Draws each calculator's answer; runs in the worker beside the calculation. */
export const drawings: { [N in CalculatorName]: Draw<N> } = {
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
  blanch: (_i, a) => ({
    kind: 'bars',
    axis: { label: 'Minutes', unit: 'min', min: 0 },
    bars: [
      {
        label: 'Boiling water',
        parts: [{ label: 'blanch', value: a.waterMinutes }],
        says: a.waterMinutes ? `${a.waterMinutes} min` : 'not in water',
      },
      {
        label: 'Steam',
        parts: [{ label: 'blanch', value: a.steamMinutes }],
        says: a.steamMinutes ? `${a.steamMinutes} min` : 'not by steam',
      },
      {
        label: 'Cold water after',
        parts: [{ label: 'cool', value: a.waterMinutes || a.steamMinutes, hatched: true }],
        says: 'as long again',
      },
    ],
  }),
  'freeze-time': (i, a) => ({
    kind: 'plot',
    x: { label: 'Thickness', unit: 'mm', min: 0 },
    y: { label: 'Hours to freeze', unit: 'h', min: 0 },
    lines: [
      {
        label: i.shape,
        points: line(
          steps(2, i.thicknessMm * 1.8),
          (mm) => calculators['freeze-time']({ ...i, thicknessMm: mm }).hours,
        ),
      },
    ],
    dots: [{ x: i.thicknessMm, y: a.hours, label: 'this pack' }],
    rules: [{ y: 24, label: 'a day' }],
  }),
  'freezer-load': (i, a) => {
    const days = Math.max(1, Math.min(14, a.days))
    return {
      kind: 'bars',
      axis: { label: 'Put in', quantity: 'kg', min: 0 },
      bars: Array.from({ length: days }, (_, d) => {
        const kg = Math.max(0, Math.min(a.maxKgPerDay, i.produceKg - d * a.maxKgPerDay))
        return { label: `Day ${d + 1}`, parts: [{ label: 'fresh', value: kg }], says: '' }
      }),
    }
  },
  'frozen-life': (_i, a) => ({
    kind: 'spans',
    axis: { label: 'Months', unit: 'months', min: 0 },
    rows: [
      { label: 'Used up so far', from: 0, to: a.spentMonths, hatched: true, says: 'at −18 °C pace' },
      {
        label: 'Still good for',
        from: a.monthsLeft.p10,
        to: Math.max(a.monthsLeft.p90, 0.1),
        mid: a.monthsLeft.p50,
        says: 'quality, not safety',
      },
    ],
  }),
  'power-cut': (i, a) => ({
    kind: 'plot',
    x: { label: 'Hours without power', unit: 'h', min: 0 },
    y: { label: 'Outermost bags', quantity: 'temperatureC' },
    lines: [
      {
        label: 'temperature',
        points: line(
          steps(0, Math.max(i.hoursOff, a.hoursToThawStart) * 1.5, 90),
          (h) => calculators['power-cut']({ ...i, hoursOff: h }).endTemperatureC,
        ),
      },
    ],
    rules: [
      { y: 4, label: 'above this: 2 hours, then out' },
      { y: -1, label: 'thaw begins' },
    ],
    dots: [{ x: i.hoursOff, y: a.endTemperatureC, label: 'then' }],
  }),
  glut: (_i, a) => ({
    kind: 'spans',
    axis: { label: 'Hours from now', unit: 'h', min: 0 },
    rows: a.batches.slice(0, 30).map((b) => ({
      label: `${b.crop}, ${b.kg.toFixed(1)} kg`,
      from: b.startInHours,
      to: b.startInHours + b.minutes / 60,
      hatched: b.late,
      says: b.late ? 'past its best' : 'fresh',
    })),
  }),
  keep: (i, _a, cropOf, progress) => {
    const crop = cropOf(i.crop)
    const xs = [-2, 0, 2, 4, 6, 8, 10, 12, 14, 16, 18, 20, 22, 24]
    const ys = [30, 40, 50, 60, 70, 80, 90, 97]
    const values = ys.map((rh, row) => {
      progress(row / ys.length)
      return xs.map(
        (t) => keepAt(crop, t, rh, i.packing, { light: i.light ?? false, gas: i.gas ?? 'none' }).lifeDays.p50,
      )
    })
    return {
      kind: 'plane',
      x: { label: 'Temperature', quantity: 'temperatureC' },
      y: { label: 'Humidity', unit: '%' },
      xs,
      ys,
      values,
      at: { x: i.temperatureC, y: i.relativeHumidityPct, label: 'here' },
    }
  },
  'check-size': (i, a) => ({
    kind: 'plot',
    x: { label: 'How many you look at', unit: 'pieces', min: 0, max: i.lotSize },
    y: { label: 'Sure of finding one, if that share is bad', unit: 'of 100', min: 0, max: 100 },
    lines: [
      {
        label: 'sure',
        points: Array.from({ length: 99 }, (_, k) => k + 1)
          .map((pct): [number, number] => [checkSize(i.lotSize, i.badFraction, pct / 100), pct])
          .filter(([n], k, all) => k === 0 || n !== all[k - 1]![0]),
      },
    ],
    dots: [{ x: a.lookAt, y: 100 * i.confidence, label: `look at ${a.lookAt}` }],
  }),
  'check-update': (i, _a, cropOf): PlotDrawing => {
    const crop = i.crop ? cropOf(i.crop) : undefined
    const model = crop
      ? steadyLife(
          crop,
          i.temperatureC ?? crop.keeping.bestTemperatureC.value[1],
          i.relativeHumidityPct ?? crop.keeping.bestHumidityPct.value[0],
          usualPacking(crop),
        ).model
      : lifeModelFromSpread(i.lifeDays!, Math.ceil(i.lifeDays!.p90 * 3))
    const now = Math.max(0, ...i.checks.map((c) => c.day))
    const before = priorWeights(model)
    const after = beliefAfterChecks(model, i.checks, now).weights
    const end =
      steps(0, model.days, 400).find(
        (d) => meanSoundShare(model, before, d) < 0.03 && meanSoundShare(model, after, d) < 0.03,
      ) ?? model.days
    const curve = (weights: Float64Array) => line(steps(0, end), (d) => 100 * meanSoundShare(model, weights, d))
    return {
      kind: 'plot',
      x: { label: 'Days in store', unit: 'days', min: 0 },
      y: { label: 'Still sound', unit: 'of 100', min: 0, max: 100 },
      lines: [
        { label: 'before looking', dashed: true, points: curve(before) },
        { label: 'after looking', points: curve(after) },
      ],
      dots: i.checks.map((c) => ({
        x: c.day,
        y: 100 * (1 - c.bad / Math.max(1, c.lookedAt)),
        label: `${c.bad} of ${c.lookedAt}`,
      })),
    }
  },
  'check-policy': (_i, a) => ({
    kind: 'bars',
    axis: { label: 'Pieces spoilt by a neighbour', unit: 'pieces', min: 0 },
    bars: [
      {
        label: 'Every so many weeks',
        parts: [{ label: 'lost', value: a.everyWeeks.lostBySpread, hatched: true }],
        says: `${a.everyWeeks.looks.toFixed(1)} looks`,
      },
      {
        label: 'When the belief says',
        parts: [{ label: 'lost', value: a.byBelief.lostBySpread }],
        says: `${a.byBelief.looks.toFixed(1)} looks`,
      },
    ],
  }),
  'run-out': (i, a) => {
    const today = Date.parse(`${i.today}T12:00:00Z`)
    const inDays = (date: string) => (Date.parse(`${date}T12:00:00Z`) - today) / 86_400_000
    const end = Math.min(inDays(a.runsOutOn.p90), 800)
    const at = (weekly: number) => (d: number) => Math.max(0, i.onHand - (weekly * d) / 7)
    return {
      kind: 'plot',
      x: { label: 'Days from today', unit: 'days', min: 0 },
      y: { label: 'On hand', unit: '', min: 0 },
      lines: [{ label: 'at the middle rate', points: line(steps(0, end), at(a.perWeek.p50)) }],
      bands: [
        {
          label: '8 chances in 10',
          points: steps(0, end).map((d) => [d, at(a.perWeek.p90)(d), at(a.perWeek.p10)(d)]),
        },
      ],
    }
  },
  planting: (_i, a) => ({
    kind: 'bars',
    axis: { label: 'How many', unit: 'pieces', min: 0 },
    bars: a.years.map((y) => ({
      label: `Year ${y.year}`,
      parts: [
        { label: 'eaten', value: y.eaten },
        { label: 'kept back', value: y.keptBack, hatched: true },
      ],
      says: `plant ${y.planted}, lift ${y.lifted}`,
    })),
  }),
  brine: (i, a) => ({
    kind: 'bars',
    axis: { label: 'Weight', quantity: 'weightG', min: 0 },
    bars: [
      {
        label: 'In the crock',
        parts: [
          { label: 'produce', value: i.produceG },
          { label: 'water', value: i.waterG, hatched: true },
          { label: 'salt', value: a.saltG },
        ],
        says: `salt ${Math.round(a.saltG * 10) / 10} g`,
      },
    ],
  }),
}

/** Draws any calculator's answer; input and answer are that calculator's own. */
export const drawResult = (
  name: CalculatorName,
  input: unknown,
  answer: unknown,
  cropOf: CropLookup,
  progress: Progress = () => undefined,
): Drawing => (drawings[name] as (...of: unknown[]) => Drawing)(input, answer, cropOf, progress)
