import { asideDays } from '../assumptions'
import type { Crop } from '../almanac'
import type { AsideReason } from './event'

/** groups whose nicked and sprouting ones still lie for weeks */
const firm = ['allium', 'tuber', 'squash', 'root', 'cabbage']

/** Days that what is set aside has, where nobody says. */
export function daysAside(crop: Pick<Crop, 'group'>, why: AsideReason): number {
  if (why !== 'eat-first') return asideDays[why]
  return firm.includes(crop.group) ? asideDays['eat-first'].firm : asideDays['eat-first'].soft
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
