import { asideDays } from '../assumptions'
import { usualHabits, type Crop, type Habits } from '../almanac'
import type { AsideReason } from './event'

/** groups whose nicked and sprouting ones still lie for weeks */
const firm = ['allium', 'tuber', 'squash', 'root', 'cabbage']

const keptShort: readonly AsideReason[] = ['cook', 'freeze', 'dry']

/** Days that what is set aside has, where nobody says. */
export function daysAside(
  crop: Pick<Crop, 'group'>,
  why: AsideReason,
  { eatFirstDays, cookDays }: Pick<Habits, 'eatFirstDays' | 'cookDays'> = usualHabits,
): number {
  if (keptShort.includes(why)) return cookDays
  if (why !== 'eat-first') return asideDays[why]
  return firm.includes(crop.group) ? eatFirstDays : asideDays['eat-first'].soft
}

export const asideWords: Record<AsideReason, string> = {
  'eat-first': 'eat first',
  'cut-round': 'cut round and cook',
  cook: 'to cook',
  freeze: 'to freeze',
  dry: 'to dry',
  juice: 'to juice',
  opened: 'opened',
}
