import type { LearntView } from '@vadose/contract/almanac'
import { say } from './say'

type Times = LearntView['outlasts'][number]['times']

const shares = [
  [0.1, 'a tenth'],
  [0.2, 'a fifth'],
  [0.25, 'a quarter'],
  [1 / 3, 'a third'],
  [0.5, 'half'],
] as const

/** “about a fifth longer”, “as long”, “twice as long”. */
export function longerWords(times: number): string {
  if (Math.abs(times - 1) < 0.05) return say('asLong')
  if (times >= 1.85) return times < 2.3 ? say('twiceAsLong') : say('timesAsLong', { times: times.toFixed(1) })
  const off = Math.abs(times - 1)
  const [, word] = shares.reduce((best, one) => (Math.abs(one[0] - off) < Math.abs(best[0] - off) ? one : best))
  // “half longer” is no English
  if (word === 'half') return times > 1 ? say('halfAsLongAgain') : say('halfAsLong')
  return say('aboutLonger', { word, times: times > 1 ? 'yes' : 'no' })
}

/** “× 0.9–1.4” */
export const timesBand = ({ p10, p90 }: Times): string => `× ${p10.toFixed(1)}–${p90.toFixed(1)}`

/** “4 lots, 2 years” */
export const seenWords = ({ lots, years }: { lots: number; years: number }): string => say('lotYear', { lots, years })

const [least, most] = [0.4, 2.5]

/** Where so many times the books' life stands on a ruler from two fifths to two and a half times, 0 to 1. */
export const onRuler = (times: number): number =>
  Math.min(1, Math.max(0, Math.log(times / least) / Math.log(most / least)))
