import { sayPart } from '../voice'
import { grams } from '@vadose/core/message'
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
import { say } from './say'

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
      x: { label: say('temperature'), quantity: 'temperatureC' },
      y: { label: say('humidity'), unit: '%' },
      xs,
      ys,
      values,
      at: { x: i.temperatureC, y: i.relativeHumidityPct, label: say('here') },
    }
  },
  'check-size': (i, a) => ({
    kind: 'plot',
    x: { label: say('howManyYouLookAt'), unit: say('piecesWord'), min: 0, max: i.lotSize },
    y: { label: say('sureOfFindingOneIf'), unit: say('ofAHundred'), min: 0, max: 100 },
    lines: [
      {
        label: say('sure'),
        points: Array.from({ length: 99 }, (_, k) => k + 1)
          .map((pct): [number, number] => [checkSize(i.lotSize, i.badFraction, pct / 100), pct])
          .filter(([n], k, all) => k === 0 || n !== all[k - 1]![0]),
      },
    ],
    dots: [{ x: a.lookAt, y: 100 * i.confidence, label: say('lookAt', { lookAt: a.lookAt }) }],
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
      x: { label: say('daysInStore'), unit: say('days'), min: 0 },
      y: { label: say('stillSound'), unit: say('ofAHundred'), min: 0, max: 100 },
      lines: [
        { label: say('beforeLooking'), dashed: true, points: curve(before) },
        { label: say('afterLooking'), points: curve(after) },
      ],
      dots: i.checks.map((c) => ({
        x: c.day,
        y: 100 * (1 - c.bad / Math.max(1, c.lookedAt)),
        label: say('of', { bad: c.bad, lookedAt: c.lookedAt }),
      })),
    }
  },
  'check-policy': (_i, a) => ({
    kind: 'bars',
    axis: { label: say('piecesSpoiltByANeighbour'), unit: say('piecesWord'), min: 0 },
    bars: [
      {
        label: say('everySoManyWeeks'),
        parts: [{ label: say('lost'), value: a.everyWeeks.lostBySpread, hatched: true }],
        says: say('looks', { looks: a.everyWeeks.looks.toFixed(1) }),
      },
      {
        label: say('whenTheBeliefSays'),
        parts: [{ label: say('lost'), value: a.byBelief.lostBySpread }],
        says: say('looks', { looks: a.byBelief.looks.toFixed(1) }),
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
      x: { label: say('daysFromToday'), unit: say('days'), min: 0 },
      y: { label: say('onHand'), unit: '', min: 0 },
      lines: [{ label: say('atTheMiddleRate'), points: line(steps(0, end), at(a.perWeek.p50)) }],
      bands: [
        {
          label: say('chancesIn'),
          points: steps(0, end).map((d) => [d, at(a.perWeek.p90)(d), at(a.perWeek.p10)(d)]),
        },
      ],
    }
  },
  planting: (_i, a) => ({
    kind: 'bars',
    axis: { label: say('howMany'), unit: say('piecesWord'), min: 0 },
    bars: a.years.map((y) => ({
      label: say('year', { year: y.year }),
      parts: [
        { label: say('eaten'), value: y.eaten },
        { label: say('keptBack'), value: y.keptBack, hatched: true },
      ],
      says: say('plantLift', { planted: y.planted, lifted: y.lifted }),
    })),
  }),
  brine: (i, a) => ({
    kind: 'bars',
    axis: { label: say('weight'), quantity: 'weightG', min: 0 },
    bars: [
      {
        label: say('inTheCrock'),
        parts: [
          { label: say('produceWord'), value: i.produceG },
          { label: say('waterWord'), value: i.waterG, hatched: true },
          { label: say('saltWord'), value: a.saltG },
        ],
        says: say('saltG', { salt: sayPart(grams(Math.round(a.saltG * 10) / 10)) }),
      },
    ],
  }),
}
