import type { Crop } from '../almanac'
import { grams, listing, term, told, type Message, type Part } from '../message'
import { Refusal } from '../refusal'
import type { BedEntry } from './entry'

/** How far the sign has come, in the words it is asked in. */
export function signSays(crop: Crop, share: number): Part {
  const steps = signSteps(crop)
  const label = steps[Math.round(share * (steps.length - 1))]?.label ?? ''
  const { countOf, stages, question } = crop.readiness!
  if (stages || !countOf) return term(label)
  const what = /leaves/i.test(question) ? 'leaves' : /tops/i.test(question) ? 'tops' : 'none'
  return told('beds.counted', { n: label, of: countOf.value, what })
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
export const turnSays = (value: number): Part =>
  term(turns.reduce((best, one) => (Math.abs(one[0] - value) < Math.abs(best[0] - value) ? one : best))[1])

/** What an entry says, in a few words. */
export function entrySays(crop: Crop | undefined, { what, value, pieces, weightG }: BedEntry): Message {
  switch (what) {
    case 'planted':
      return told('beds.planted', {
        told: pieces || weightG ? 'yes' : 'no',
        how: listing([pieces ? String(pieces) : null, weightG ? grams(weightG) : null]),
      })
    case 'sign':
      return crop?.readiness && value !== null
        ? told('beds.sign', { sign: signSays(crop, value) })
        : told('beds.lookedAt')
    case 'scapes':
      return told('beds.scapes', { turns: turnSays(value ?? 0) })
    case 'scapes-cut':
      return told('beds.scapesCut')
    case 'tried':
      return told('beds.tried', { found: term(crop?.readiness?.tryOne?.outcomes[value ?? -1]?.label ?? 'looked into') })
    case 'unwatered':
      return told('beds.wateringEnded')
    case 'watered':
      return told('beds.watered')
    case 'tops-bent':
      return told('beds.topsBent')
    case 'cleared':
      return told('beds.cleared')
  }
}

/**
 * Refuses what cannot be seen on this crop.
 * @throws Refusal `invalid`
 */
export function requireSeeable(crop: Crop, { what, value }: Pick<BedEntry, 'what' | 'value'>): void {
  const { readiness } = crop
  const refuse = (why: Message) => {
    throw new Refusal('invalid', why, 'what')
  }
  if (what === 'sign') {
    if (!readiness) refuse(told('beds.noSign', { crop: term(crop.plural) }))
    if (value === null || value > 1) refuse(told('beds.howFarSign'))
  }
  if ((what === 'scapes' || what === 'scapes-cut') && !readiness?.scapeDays)
    refuse(told('beds.noScapes', { crop: term(crop.name) }))
  if (what === 'scapes' && (value === null || value > 3)) refuse(told('beds.howManyTurns'))
  if (what === 'tried' && !readiness?.tryOne?.outcomes[value ?? -1]) refuse(told('beds.whatTriedLookedLike'))
  if (what === 'tops-bent' && crop.group !== 'allium') refuse(told('beds.topsNotBent', { crop: term(crop.plural) }))
}
