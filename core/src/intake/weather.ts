import { addDays, type CivilDate } from '../households'
import { onDay, told, type Message, prose } from '../message'
import type { Crop } from '../almanac'
import { readinessVerdicts } from './readiness'
import { dryDaysWanted, dryMm, groundFrostC, wetMm } from '../assumptions'

/** One day of the weather to come. */
export interface DayAhead {
  on: CivilDate
  /** the lowest of the night that begins on this day, °C */
  nightC: number
  /** mm; null where nobody says */
  rainMm: number | null
}

const tender = ['squash', 'fruiting']

/** Ruined by a frost in the garden, however far it is. */
export const frostTender = (crop: Crop): boolean =>
  tender.includes(crop.group) || (crop.keeping.chillsBelowC?.value ?? 0) >= 7

/** Frost to come that takes what is still out there, in a sentence. */
export function frostSays(
  crop: Crop,
  today: CivilDate,
  days: readonly DayAhead[],
): { on: CivilDate; says: Message } | null {
  const frost = frostTender(crop) ? days.find((day) => day.nightC <= groundFrostC) : undefined
  if (!frost) return null
  const tonight = frost.on === today ? 'yes' : 'no'
  return { on: frost.on, says: told('intake.frost', { tonight, on: onDay(frost.on, 'weekday') }) }
}

/**
 * The day the weather leaves for lifting what is to dry: two dry days in a row, but not past the point where waiting
 * costs more.
 * @param latest the last day before waiting costs more; today or before where it is overdue
 * @param days from today on
 * @returns no day where it need not be dry, or nobody forecasts the rain
 */
export function liftingDay(
  crop: Crop,
  latest: CivilDate,
  today: CivilDate,
  days: readonly DayAhead[],
): { day: CivilDate | null; says: Message | null } {
  const known = days.filter((day) => day.rainMm !== null)
  if (!crop.curing || known.length < dryDaysWanted) return { day: null, says: null }
  if (latest < today) return { day: today, says: told('intake.doNotWait') }
  const dry = known.find((_, i) => {
    const spell = known.slice(i, i + dryDaysWanted)
    return spell.length === dryDaysWanted && spell.every((day) => day.rainMm! < dryMm)
  })
  const driest = (until: CivilDate) =>
    known.filter((day) => day.on <= until).reduce((best, day) => (day.rainMm! < best.rainMm! ? day : best), known[0]!)
      .on
  if (!dry) {
    return { day: driest(latest), says: told('intake.noDryDays', { on: onDay(latest, 'weekday') }) }
  }
  if (dry.on === today) return { day: today, says: told('intake.dryNow') }
  if (dry.on <= latest) return { day: dry.on, says: told('intake.waitFor', { on: onDay(dry.on, 'weekday') }) }
  return {
    day: driest(latest),
    says: told('intake.dryTooLate', {
      from: onDay(dry.on, 'weekday'),
      latest: onDay(latest, 'weekday'),
      costs: crop.readiness ? 'yes' : 'no',
      cost: crop.readiness ? prose(crop.readiness.lateCost) : null,
    }),
  }
}

/**
 * What the weather to come does to the day of lifting: frost brings tender crops in, whatever the signs say; what is to
 * dry waits for two dry days.
 * @param share of the sign reached, 0…1; undefined where nobody has looked
 * @param days from today on
 */
export function weatherAdvice(
  crop: Crop,
  share: number | undefined,
  today: CivilDate,
  days: readonly DayAhead[],
): Message[] {
  const says: Message[] = []
  const frost = frostSays(crop, today, days)
  if (frost) says.push(frost.says)
  if (!crop.readiness || share === undefined) return says
  const verdicts = readinessVerdicts(crop, share, today)
  const late = verdicts.every((v) => v.verdict === 'late')
  if (!late && !verdicts.some((v) => v.verdict === 'lift')) return says
  // the last day on which some school would still lift
  const daysLeft = crop.readiness.schools.reduce((days, school) => {
    const left = ((school.to.value - share) / crop.readiness!.sharePerWeek.value) * 7
    return Math.max(days, Math.floor(left))
  }, 0)
  const { says: sky } = liftingDay(crop, addDays(today, late ? -1 : daysLeft), today, days)
  return sky ? [...says, sky] : says
}

/**
 * Days since it last rained enough to matter, up to today; null where nobody says.
 * @param past days up to yesterday, oldest first
 */
export function dryForDays(past: readonly { rainMm: number | null }[]): number | null {
  let days = 0
  for (const day of [...past].reverse()) {
    if (day.rainMm === null) return days > 0 ? days : null
    if (day.rainMm >= wetMm) return days
    days++
  }
  return past.length > 0 ? days : null
}
