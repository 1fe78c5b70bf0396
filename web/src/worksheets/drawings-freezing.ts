import { calculators } from '@vadose/core/worksheets'
import { line, steps, type Drawings } from './curve'

/** Blanching, freezing and what is frozen. */
export const freezingDrawings: Drawings<
  'blanch' | 'freeze-time' | 'freezer-load' | 'frozen-life' | 'power-cut' | 'glut'
> = {
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
      { label: 'Used up so far', from: 0, to: a.spentMonths, hatched: true, says: 'at the pace of a steady freezer' },
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
    kind: 'spans',
    axis: { label: 'Hours without power', unit: 'h', min: 0 },
    rows: [
      { label: 'keep or refreeze', from: 0, to: a.safeHours, says: 'within the rule, door shut' },
      {
        label: 'bag by bag',
        from: a.safeHours,
        to: 1.5 * a.safeHours,
        says: 'only with ice crystals, or read at 4 °C and below',
      },
      {
        label: 'throw out',
        from: 1.5 * a.safeHours,
        to: Math.max(i.hoursOff, 2 * a.safeHours),
        says: 'unless a temperature was read',
      },
      { label: 'this cut', from: 0, to: i.hoursOff, says: a.outcome.replace(/-/g, ' ') },
    ],
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
}
