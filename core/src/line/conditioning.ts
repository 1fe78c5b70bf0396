/** What the jar shows while dried fruit is conditioned. */
export interface JarLook {
  /** day of conditioning, from 1 */
  day: number
  beads: boolean
  mould: boolean
  /** a cheap hygrometer in the closed jar reads water activity: its % after some hours */
  jarHumidityPct?: number
}

/** Days of daily shaking. @source NCHFP, 7 to 10 days (recalled, not re-read) */
export const conditioningDays = { least: 7, most: 10 } as const

/** Jar humidity below which nothing grows, and above which it goes back, %. @source ICMSF: none grows below a_w 0.60 (recalled) */
export const safeJarPct = { lo: 60, hi: 65 } as const

export type JarVerdict = 'throw-out' | 'back-to-dryer' | 'shake-on' | 'done'

/** What to do with a conditioning jar after a look, and why. */
export function conditioningVerdict(look: JarLook): { verdict: JarVerdict; says: string } {
  if (look.mould) return { verdict: 'throw-out', says: 'Mould on dried food is not picked off: the whole jar goes.' }
  if (look.beads)
    return { verdict: 'back-to-dryer', says: 'Beads on the glass: water is still coming out. Back to the dryer today.' }
  if (look.jarHumidityPct !== undefined && look.jarHumidityPct > safeJarPct.hi) {
    return {
      verdict: 'back-to-dryer',
      says: `The jar's air stands at ${Math.round(look.jarHumidityPct)} %: above ${safeJarPct.hi} % mould can grow.`,
    }
  }
  const sure = look.jarHumidityPct !== undefined && look.jarHumidityPct < safeJarPct.lo
  if (look.jarHumidityPct !== undefined && look.jarHumidityPct >= safeJarPct.lo) {
    return {
      verdict: 'shake-on',
      says: `Not yet: the jar's air stands at ${Math.round(look.jarHumidityPct)} %; below ${safeJarPct.lo} % nothing grows. Shake again tomorrow, or give it an hour in the dryer.`,
    }
  }
  if (look.day >= conditioningDays.least) {
    return {
      verdict: 'done',
      says: sure ? 'A week without beads and dry air in the jar: put it by.' : 'A week without beads: put it by.',
    }
  }
  return {
    verdict: 'shake-on',
    says: `Shake again tomorrow; ${conditioningDays.least - look.day} more ${conditioningDays.least - look.day === 1 ? 'day' : 'days'}.`,
  }
}

/**
 * How long dried food stays good, months.
 * @param temperatureC mean of the place, °C, 0–40
 * @source NCHFP: fruit 12 months at 60 °F (15.6 °C) and 6 at 80 °F (26.7 °C); vegetables half (recalled, not re-read)
 */
export function driedLifeMonths(kind: 'fruit' | 'vegetable', temperatureC: number): number {
  const fruit = 12 * 0.5 ** ((temperatureC - 15.6) / 11.1)
  return Math.min(36, kind === 'fruit' ? fruit : fruit / 2)
}
