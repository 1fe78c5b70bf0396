import { cropFileById, settables, sources, withOverrides, type CropData, type Settable } from '@vadose/core/almanac'
import { fromCelsius, degree, isUs, toCelsius } from '../households'
import { currentAlmanac } from './almanac'
import { say } from './say'
import { sayWord } from '../voice'

const names: Record<string, string> = {
  get pieceG() {
    return say('aPieceWeighsG')
  },
  get waterPct() {
    return say('waterInIt')
  },
  get 'readiness/countOf'() {
    return say('countedOutOf')
  },
  get 'readiness/sharePerWeek'() {
    return say('theSignMovesInA')
  },
  get 'curing/budget'() {
    return say('wantsToBeReadyKpa')
  },
  get 'curing/budgetLogSd'() {
    return say('lotsDifferByLogSd')
  },
  get 'curing/stillAbovePct'() {
    return say('standsStillAbove')
  },
  get 'curing/healsAtC'() {
    return say('healsAtC')
  },
  get 'curing/healsAtPct'() {
    return say('healsAt')
  },
  get 'curing/finalWeightRatio'() {
    return say('weightLeftWhenReadyOf')
  },
  get 'curing/finalWeightRatioSd'() {
    return say('lotsDifferBy')
  },
  get 'curing/bunch'() {
    return say('inABunchPieces')
  },
  get 'curing/usualDays'() {
    return say('theCalendarSaysDays')
  },
  get 'keeping/bestTemperatureC'() {
    return say('keepsBestAtC')
  },
  get 'keeping/bestHumidityPct'() {
    return say('keepsBestAt')
  },
  get 'keeping/lifeDays'() {
    return say('keepsThereDays')
  },
  get 'keeping/homeDays'() {
    return say('keepsAtHomeDays')
  },
  get 'keeping/freezesAtC'() {
    return say('freezesAtC')
  },
  get 'keeping/transpiration'() {
    return say('waterLostNgKgS')
  },
  get 'keeping/largestLossPct'() {
    return say('bearableLoss')
  },
  get 'keeping/ageingQ10'() {
    return say('agesFasterEachCTimes')
  },
  get 'keeping/ageingDays'() {
    return say('halfHaveAgedAfterDays')
  },
  'keeping/ageingAtC': '… at|°C',
  get 'keeping/rootsAbovePct'() {
    return say('rootsAbove')
  },
  get 'keeping/rootingDays'() {
    return say('halfHaveRootedAfterDays')
  },
  get 'keeping/chillsBelowC'() {
    return say('chillsBelowC')
  },
  get 'keeping/chillingDays'() {
    return say('halfSpoiltBelowAfterDays')
  },
  get 'keeping/greeningDays'() {
    return say('halfGreenInLightAfter')
  },
  get 'freezing/lifeMonths'() {
    return say('frozenGoodForMonths')
  },
  get 'freezing/warmShare'() {
    return say('lifeAtOverCOf')
  },
  get 'dehydrating/airC'() {
    return say('dryerAirC')
  },
  get 'dehydrating/hours'() {
    return say('inTheDryerHours')
  },
  get 'dehydrating/startMoisturePct'() {
    return say('waterWhenItGoesOn')
  },
  get 'dehydrating/finalMoisturePct'() {
    return say('waterLeftWhenDry')
  },
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
      both[0] === both.at(-1)
        ? show(both[0]!, unit!)
        : say('to', { show: show(both[0]!, unit!), show2: show(both[1]!, unit!) })
    const source = sources[s.source as keyof typeof sources]
    return [
      {
        ...s,
        label,
        unit: isCelsius(unit!) && isUs() ? degree() : unit!,
        shown,
        sourceShort: sayWord(source.short),
        sourceText: sayWord(source.text),
        ours: s.source === 'household',
      },
    ]
  })
}

function wordFor(path: string, file: CropData): [string, string] | undefined {
  if (path === 'curing/budget' && file.curing?.clock === 'healing') return [say('wantsAtTheBestAir'), 'hours']
  const known = names[path]
  if (known) return known.split('|') as [string, string]
  const blanch = /^freezing\/blanch\/(\d+)\/waterMinutes$/.exec(path)
  if (blanch) return [say('blanch', { cut: sayWord(file.freezing?.blanch[Number(blanch[1])]?.cut ?? '') }), 'min']
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
