import { told, type Message } from '../message'

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
export function conditioningVerdict(look: JarLook): { verdict: JarVerdict; says: Message } {
  if (look.mould) return { verdict: 'throw-out', says: told('line.jarMould') }
  if (look.beads) return { verdict: 'back-to-dryer', says: told('line.jarBeads') }
  const { lo: safe, hi: most } = safeJarPct
  const humidity = look.jarHumidityPct === undefined ? undefined : Math.round(look.jarHumidityPct)
  if (look.jarHumidityPct !== undefined && look.jarHumidityPct > most)
    return { verdict: 'back-to-dryer', says: told('line.jarDamp', { humidity, most }) }
  if (look.jarHumidityPct !== undefined && look.jarHumidityPct >= safe)
    return { verdict: 'shake-on', says: told('line.jarNotYet', { humidity, safe }) }
  if (look.day >= conditioningDays.least)
    return { verdict: 'done', says: told('line.jarDone', { dry: humidity === undefined ? 'no' : 'yes' }) }
  return { verdict: 'shake-on', says: told('line.jarShakeOn', { n: conditioningDays.least - look.day }) }
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
