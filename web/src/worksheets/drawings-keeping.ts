import { beliefAfterChecks, checkSize } from '@vadose/core/checks'
import {
  keepAt,
  lifeModelFromSpread,
  meanSoundShare,
  priorWeights,
  steadyLife,
  usualPacking,
} from '@vadose/core/stores'
import { line, steps, type Drawings } from './curve'
import type { PlotDrawing } from './drawing'

/** Keeping, looking over, using up and planting. */
export const keepingDrawings: Drawings<
  'keep' | 'check-size' | 'check-update' | 'check-policy' | 'run-out' | 'planting' | 'brine'
> = {
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
