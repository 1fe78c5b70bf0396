import type { KeepingView } from '@vadose/contract/lots'
import { say } from './say'

export type SurvivalPoint = KeepingView['curve'][number]

/** The curve as far as it is of interest: until hardly anything is left even in the better case, and a little on. */
export function shownCurve(curve: readonly SurvivalPoint[]): SurvivalPoint[] {
  const end = curve.findIndex((p) => p.p90 < 0.03)
  return curve.slice(0, end < 0 ? undefined : end + 4)
}

/** How many months an axis steps, so that their names do not touch. */
export const monthStep = (days: number, tight: boolean): 1 | 2 | 3 => (days > 420 ? 3 : days > 150 || tight ? 2 : 1)

/** “7 in 10”; a share that is neither none nor all is not called so. */
export function tenths(share: number): string {
  if (share > 0.95 && share < 0.995) return say('nearlyAll')
  if (share > 0.005 && share < 0.05) return say('hardlyAny')
  return `${Math.round(share * 10)} in 10`
}
