import type { Crop } from '../almanac'
import { Refusal } from '../refusal'
import type { BedEntry } from './entry'

/** How far the sign has come, in the words it is asked in. */
export function signWords(crop: Crop, share: number): string {
  const steps = signSteps(crop)
  const label = steps[Math.round(share * (steps.length - 1))]?.label ?? ''
  const { countOf, stages, question } = crop.readiness!
  if (stages || !countOf) return label
  const counted = /leaves/i.test(question) ? ' leaves brown' : /tops/i.test(question) ? ' tops down' : ''
  return `${label} of ${countOf.value}${counted}`
}

/** The steps a crop's sign is read in, each with the share of it that is reached. */
export function signSteps(crop: Crop): { value: number; label: string }[] {
  const { stages, countOf } = crop.readiness ?? {}
  const labels = stages ?? (countOf ? Array.from({ length: countOf.value + 1 }, (_, i) => String(i)) : [])
  return labels.map((label, i) => ({ value: i / (labels.length - 1), label }))
}

const turns: [number, string][] = [
  [0, 'no turn yet'],
  [0.5, 'half a turn'],
  [1, 'one turn'],
  [1.5, 'one and a half turns'],
  [2, 'two turns'],
  [3, 'straight again'],
]
/** Turns of a scape that are told apart. */
export const scapeTurnSteps = turns.map(([value, label]) => ({ value, label }))
export const turnWords = (value: number): string =>
  turns.reduce((best, one) => (Math.abs(one[0] - value) < Math.abs(best[0] - value) ? one : best))[1]

/** What an entry says, in a few words. */
export function entrySays(crop: Crop | undefined, { what, value, pieces, weightG }: BedEntry): string {
  switch (what) {
    case 'planted':
      return pieces || weightG
        ? `planted ${[pieces ? `${pieces}` : '', weightG ? `${weightG.toLocaleString('en-GB')} g` : ''].filter(Boolean).join(', ')}`
        : 'planted'
    case 'sign':
      return crop?.readiness && value !== null ? signWords(crop, value) : 'looked at'
    case 'scapes':
      return `scapes: ${turnWords(value ?? 0)}`
    case 'scapes-cut':
      return 'scapes cut'
    case 'tried':
      return `one tried: ${crop?.readiness?.tryOne?.outcomes[value ?? -1]?.label ?? 'looked into'}`
    case 'unwatered':
      return 'watering ended'
    case 'watered':
      return 'watered'
    case 'tops-bent':
      return 'tops bent over'
    case 'cleared':
      return 'bed cleared'
  }
}

/**
 * Refuses what cannot be seen on this crop.
 * @throws Refusal `invalid`
 */
export function requireSeeable(crop: Crop, { what, value }: Pick<BedEntry, 'what' | 'value'>): void {
  const { readiness } = crop
  const refuse = (why: string) => {
    throw new Refusal('invalid', why, 'what')
  }
  if (what === 'sign') {
    if (!readiness) refuse(`The almanac names no sign for ${crop.plural}.`)
    if (value === null || value > 1) refuse('Say how far the sign has come.')
  }
  if ((what === 'scapes' || what === 'scapes-cut') && !readiness?.scapeDays) refuse(`${crop.name} makes no scapes.`)
  if (what === 'scapes' && (value === null || value > 3)) refuse('Say how many turns the scapes have made.')
  if (what === 'tried' && !readiness?.tryOne?.outcomes[value ?? -1]) refuse('Say what the one tried looked like.')
  if (what === 'tops-bent' && crop.group !== 'allium') refuse(`The tops of ${crop.plural} are not bent over.`)
}
