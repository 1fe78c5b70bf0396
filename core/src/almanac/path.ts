import type { Crop, Range } from './crop'

/** One stretch of a crop's way from bed to plate. */
export interface PathStep {
  id: 'ready' | 'lift' | 'cure' | 'finish' | 'keep' | 'freeze' | 'dry'
  label: string
  detail: string
  /** how long it takes or lasts, days; none where it is done within the day */
  days?: Range
}

/** The way of a crop as one line: signs, lifting, curing, finishing, keeping. */
export function pathOf(crop: Crop): PathStep[] {
  const { readiness, curing, keeping, dehydrating, freezing } = crop
  const steps: PathStep[] = []
  if (readiness) {
    steps.push({
      id: 'ready',
      label: 'Ready',
      detail: readiness.schools.map((s) => s.label).join(' · '),
    })
  }
  steps.push({ id: 'lift', label: 'Bring in', detail: crop.handling })
  if (curing) {
    steps.push({
      id: 'cure',
      label: curing.clock === 'healing' ? 'Heal the skin' : 'Dry',
      detail: `${curing.conditions.value}; ${curing.endTests.map((t) => `${t.label.toLowerCase()}: ${t.passed}`).join('; ')}`,
      days: curing.usualDays.value,
    })
  }
  steps.push({ id: 'finish', label: 'Finish', detail: `${crop.trimming} ${crop.grading}` })
  const [t0, t1] = keeping.bestTemperatureC.value
  const [h0, h1] = keeping.bestHumidityPct.value
  const between = (a: number, b: number) => (a === b ? `${a}` : `${a}–${b}`).replaceAll('-', '−')
  steps.push({
    id: 'keep',
    label: 'Keep',
    detail: `${between(t0, t1)} °C, ${between(h0, h1)} % best. At home: ${keeping.atHome.value}.`,
    days: keeping.lifeDays.value,
  })
  if (freezing) {
    steps.push({
      id: 'freeze',
      label: 'Or freeze',
      detail: freezing.prepare,
      days: freezing.lifeMonths.value.map((m) => Math.round(m * 30.4)) as Range,
    })
  }
  if (dehydrating && !curing) {
    const [a, b] = dehydrating.hours.value
    steps.push({
      id: 'dry',
      label: 'Or dry',
      detail: `${dehydrating.cut}, ${dehydrating.pretreat === 'none' ? 'untreated' : dehydrating.pretreat}; ${a}–${b} hours until ${dehydrating.doneness}`,
    })
  }
  return steps
}
