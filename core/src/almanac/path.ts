import { degrees, degreesBetween, listing, prose, term, told, type Part } from '../message'
import type { Crop, Range } from './crop'

/** One stretch of a crop's way from bed to plate. */
export interface PathStep {
  id: 'ready' | 'lift' | 'cure' | 'heal' | 'finish' | 'keep' | 'freeze' | 'dry'
  detail: Part
  /** how long it takes or lasts, days; none where it is done within the day */
  days?: Range
}

/** The way of a crop as one line: signs, lifting, curing, finishing, keeping. */
export function pathOf(crop: Crop): PathStep[] {
  const { readiness, curing, keeping, dehydrating, freezing } = crop
  const steps: PathStep[] = []
  if (readiness)
    steps.push({
      id: 'ready',
      detail: listing(
        readiness.schools.map((s) => term(s.label)),
        ' · ',
      ),
    })
  steps.push({ id: 'lift', detail: term(crop.handling) })
  if (curing) {
    const tests = curing.endTests.map(({ label, passed }) =>
      told('almanac.pathTest', { test: term(label.toLowerCase()), passed: term(passed) }),
    )
    steps.push({
      id: curing.clock === 'healing' ? 'heal' : 'cure',
      detail: told('almanac.pathCure', { conditions: prose(curing.conditions.value), tests: listing(tests, '; ') }),
      days: curing.usualDays.value,
    })
  }
  steps.push({ id: 'finish', detail: listing([term(crop.trimming), term(crop.grading)], ' ') })
  const [t0, t1] = keeping.bestTemperatureC.value
  const [h0, h1] = keeping.bestHumidityPct.value
  steps.push({
    id: 'keep',
    detail: told('almanac.pathKeep', {
      air: t0 === t1 ? degrees(t0) : degreesBetween(t0, t1),
      humidity: h0 === h1 ? `${h0}` : `${h0}–${h1}`,
      atHome: prose(keeping.atHome.value),
    }),
    days: keeping.lifeDays.value,
  })
  if (freezing) {
    steps.push({
      id: 'freeze',
      detail: term(freezing.prepare),
      days: freezing.lifeMonths.value.map((m) => Math.round(m * 30.4)) as Range,
    })
  }
  if (dehydrating && !curing) {
    const [least, most] = dehydrating.hours.value
    steps.push({
      id: 'dry',
      detail: told('almanac.pathDry', {
        cut: term(dehydrating.cut),
        pretreated: dehydrating.pretreat === 'none' ? 'no' : 'yes',
        pretreat: term(dehydrating.pretreat),
        least,
        most,
        doneness: term(dehydrating.doneness),
      }),
    })
  }
  return steps
}
