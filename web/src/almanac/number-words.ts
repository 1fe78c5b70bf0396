import { cropFileById, settables, sources, withOverrides, type CropData, type Settable } from '@vadose/core/almanac'
import { fromCelsius, degree, isUs, toCelsius } from '../households'
import { currentAlmanac } from './almanac'

const names: Record<string, string> = {
  pieceG: 'A piece weighs|g',
  waterPct: 'Water in it|%',
  'readiness/countOf': 'Counted out of|',
  'readiness/sharePerWeek': 'The sign moves in a week by|',
  'curing/budget': 'Wants, to be ready|kPa·h',
  'curing/budgetLogSd': 'Lots differ by (log sd)|',
  'curing/stillAbovePct': 'Stands still above|%',
  'curing/healsAtC': 'Heals at|°C',
  'curing/healsAtPct': 'Heals at|%',
  'curing/finalWeightRatio': 'Weight left when ready|of 1',
  'curing/finalWeightRatioSd': 'Lots differ by|',
  'curing/bunch': 'In a bunch|pieces',
  'curing/usualDays': 'The calendar says|days',
  'keeping/bestTemperatureC': 'Keeps best at|°C',
  'keeping/bestHumidityPct': 'Keeps best at|%',
  'keeping/lifeDays': 'Keeps there|days',
  'keeping/homeDays': 'Keeps at home|days',
  'keeping/freezesAtC': 'Freezes at|°C',
  'keeping/transpiration': 'Water lost|ng/(kg·s·Pa)',
  'keeping/largestLossPct': 'Bearable loss|%',
  'keeping/ageingQ10': 'Ages faster each 10 °C|times',
  'keeping/ageingDays': 'Half have aged after|days',
  'keeping/ageingAtC': '… at|°C',
  'keeping/rootsAbovePct': 'Roots above|%',
  'keeping/rootingDays': 'Half have rooted after|days',
  'keeping/chillsBelowC': 'Chills below|°C',
  'keeping/chillingDays': 'Half spoilt 5° below after|days',
  'keeping/greeningDays': 'Half green in light after|days',
  'freezing/lifeMonths': 'Frozen, good for|months',
  'freezing/warmShare': 'Life at −12 over −18 °C|of 1',
  'dehydrating/airC': 'Dryer air|°C',
  'dehydrating/hours': 'In the dryer|hours',
  'dehydrating/startMoisturePct': 'Water when it goes on the trays|%',
  'dehydrating/finalMoisturePct': 'Water left when dry|%',
}

export interface NumberRow extends Settable {
  label: string
  unit: string
  /** as the household reads it */
  shown: string
  sourceShort: string
  sourceText: string
  ours: boolean
}

const isCelsius = (unit: string) => unit === '°C'
const plain = (n: number) => String(Number(n.toFixed(3))).replace('-', '−')
const show = (value: number, unit: string) => plain(isCelsius(unit) ? Math.round(fromCelsius(value) * 10) / 10 : value)

/** The crop's numbers, in words, with the household's own marked. */
export function numberRows(crop: string): NumberRow[] {
  const { changes } = currentAlmanac()
  const file = cropFileById(crop) ?? changes.own.find((c) => c.id === crop)
  if (!file) return []
  const now = withOverrides(
    file,
    changes.overrides.filter((o) => o.crop === crop),
  )
  return settables(now).flatMap((s) => {
    const [label, unit] = wordFor(s.path, file) ?? []
    if (!label) return []
    const both = Array.isArray(s.value) ? s.value : [s.value]
    const shown =
      both[0] === both.at(-1) ? show(both[0]!, unit!) : `${show(both[0]!, unit!)} to ${show(both[1]!, unit!)}`
    const source = sources[s.source as keyof typeof sources]
    return [
      {
        ...s,
        label,
        unit: isCelsius(unit!) && isUs() ? degree() : unit!,
        shown,
        sourceShort: source.short,
        sourceText: source.text,
        ours: s.source === 'household',
      },
    ]
  })
}

function wordFor(path: string, file: CropData): [string, string] | undefined {
  if (path === 'curing/budget' && file.curing?.clock === 'healing') return ['Wants, at the best air', 'hours']
  const known = names[path]
  if (known) return known.split('|') as [string, string]
  const blanch = /^freezing\/blanch\/(\d+)\/waterMinutes$/.exec(path)
  if (blanch) return [`Blanch, ${file.freezing?.blanch[Number(blanch[1])]?.cut}`, 'min']
  return undefined
}

/** Reads what was typed for a number: one value, or from–to. Undefined when it cannot be read. */
export function readNumber(
  text: string,
  like: number | [number, number],
  unit: string,
): number | [number, number] | undefined {
  const parts = text
    .replaceAll('−', '-')
    .split(/\s*(?:–|to|\.\.|;)\s*/)
    .map((p) => Number(p.replace(',', '.').trim() || NaN))
    .map((n) => (unit === '°F' ? toCelsius(n) : n))
  if (!parts.every(Number.isFinite)) return undefined
  if (Array.isArray(like))
    return parts.length === 2 ? (parts as [number, number]) : parts.length === 1 ? [parts[0]!, parts[0]!] : undefined
  return parts.length === 1 ? parts[0] : undefined
}
