import { sayPart, sayWord } from '../voice'
import { degrees, kilos } from '@vadose/core/message'
import { calculators } from '@vadose/core/worksheets'
import { line, steps, type Drawings } from './curve'
import { say } from './say'

/** Blanching, freezing and what is frozen. */
export const freezingDrawings: Drawings<
  'blanch' | 'freeze-time' | 'freezer-load' | 'frozen-life' | 'power-cut' | 'glut'
> = {
  blanch: (_i, a) => ({
    kind: 'bars',
    axis: { label: say('minutes'), unit: say('min'), min: 0 },
    bars: [
      {
        label: say('boilingWater'),
        parts: [{ label: say('blanch'), value: a.waterMinutes }],
        says: a.waterMinutes ? `${a.waterMinutes} min` : say('notInWater'),
      },
      {
        label: say('steam'),
        parts: [{ label: say('blanch'), value: a.steamMinutes }],
        says: a.steamMinutes ? `${a.steamMinutes} min` : say('notBySteam'),
      },
      {
        label: say('coldWaterAfter'),
        parts: [{ label: say('cool'), value: a.waterMinutes || a.steamMinutes, hatched: true }],
        says: say('asLongAgain'),
      },
    ],
  }),
  'freeze-time': (i, a) => ({
    kind: 'plot',
    x: { label: say('thickness'), unit: 'mm', min: 0 },
    y: { label: say('hoursToFreeze'), unit: say('h'), min: 0 },
    lines: [
      {
        label: i.shape,
        points: line(
          steps(2, i.thicknessMm * 1.8),
          (mm) => calculators['freeze-time']({ ...i, thicknessMm: mm }).hours,
        ),
      },
    ],
    dots: [{ x: i.thicknessMm, y: a.hours, label: say('thisPack') }],
    rules: [{ y: 24, label: say('aDay') }],
  }),
  'freezer-load': (i, a) => {
    const days = Math.max(1, Math.min(14, a.days))
    return {
      kind: 'bars',
      axis: { label: say('putIn'), quantity: 'kg', min: 0 },
      bars: Array.from({ length: days }, (_, d) => {
        const kg = Math.max(0, Math.min(a.maxKgPerDay, i.produceKg - d * a.maxKgPerDay))
        return { label: say('day', { d: d + 1 }), parts: [{ label: say('freshWord'), value: kg }], says: '' }
      }),
    }
  },
  'frozen-life': (_i, a) => ({
    kind: 'spans',
    axis: { label: say('months'), unit: say('monthsWord'), min: 0 },
    rows: [
      { label: say('usedUpSoFar'), from: 0, to: a.spentMonths, hatched: true, says: say('atThePaceOfA') },
      {
        label: say('stillGoodFor'),
        from: a.monthsLeft.p10,
        to: Math.max(a.monthsLeft.p90, 0.1),
        mid: a.monthsLeft.p50,
        says: say('qualityNotSafety'),
      },
    ],
  }),
  'power-cut': (i, a) => ({
    kind: 'spans',
    axis: { label: say('hoursWithoutPower'), unit: say('h'), min: 0 },
    rows: [
      { label: say('keepOrRefreeze'), from: 0, to: a.safeHours, says: say('withinTheRuleDoorShut') },
      {
        label: say('bagByBag'),
        from: a.safeHours,
        to: 1.5 * a.safeHours,
        says: say('onlyWithIceCrystalsOr', { cold: sayPart(degrees(4)) }),
      },
      {
        label: say('throwOut'),
        from: 1.5 * a.safeHours,
        to: Math.max(i.hoursOff, 2 * a.safeHours),
        says: say('unlessATemperatureWasRead'),
      },
      { label: say('thisCut'), from: 0, to: i.hoursOff, says: a.outcome.replace(/-/g, ' ') },
    ],
  }),
  glut: (_i, a, cropOf) => ({
    kind: 'spans',
    axis: { label: say('hoursFromNow'), unit: say('h'), min: 0 },
    rows: a.batches.slice(0, 30).map((b) => ({
      label: `${sayWord(cropOf(b.crop).name)}, ${sayPart(kilos(1000 * b.kg))}`,
      from: b.startInHours,
      to: b.startInHours + b.minutes / 60,
      hatched: b.late,
      says: b.late ? say('pastItsBest') : say('inTime'),
    })),
  }),
}
