import { addDays, daysBetween, type CivilDate } from '../households'
import type { Crop } from '../almanac'
import { readinessVerdicts } from './readiness'

/** One day of the weather to come. */
export interface DayAhead {
  on: CivilDate
  /** the lowest of the night that begins on this day, °C */
  nightC: number
  /** mm; null where nobody says */
  rainMm: number | null
}

/** A screen's thermometer stands warmer than the ground: white frost comes from here down, °C. Common practice, no source. */
const groundFrostC = 2
const dryMm = 0.5
const dryDaysWanted = 2

const tender = ['squash', 'fruiting']

/** Ruined by a frost in the garden, however far it is. */
export const frostTender = (crop: Crop): boolean =>
  tender.includes(crop.group) || (crop.keeping.chillsBelowC?.value ?? 0) >= 7

/**
 * What the weather to come does to the day of lifting: frost brings tender crops in, whatever the signs say; what is to
 * dry waits for two dry days, but not past the point where waiting costs more.
 * @param share of the sign reached, 0…1; undefined where nobody has looked
 * @param days from today on
 */
export function weatherAdvice(
  crop: Crop,
  share: number | undefined,
  today: CivilDate,
  days: readonly DayAhead[],
): string[] {
  const says: string[] = []
  const frost = days.find((day) => day.nightC <= groundFrostC)
  if (frost && frostTender(crop)) {
    const when = frost.on === today ? 'tonight' : `on ${spoken(frost.on)}`
    says.push(`Frost is likely ${when}: bring them in before, ready or not. A touch of it and they will not keep.`)
  }
  const known = days.filter((day) => day.rainMm !== null)
  if (!crop.curing || !crop.readiness || known.length < dryDaysWanted || share === undefined) return says
  const verdicts = readinessVerdicts(crop, share, today)
  if (!verdicts.some((v) => v.verdict === 'lift')) {
    if (verdicts.every((v) => v.verdict === 'late')) says.push('Do not wait for better weather: dry them under a roof.')
    return says
  }
  const dry = known.find((_, i) => {
    const spell = known.slice(i, i + dryDaysWanted)
    return spell.length === dryDaysWanted && spell.every((day) => day.rainMm! < dryMm)
  })
  // the last day on which some school would still lift
  const latest = crop.readiness.schools.reduce((days, school) => {
    const left = ((school.to.value - share) / crop.readiness!.sharePerWeek.value) * 7
    return Math.max(days, Math.floor(left))
  }, 0)
  if (!dry) {
    says.push(`No two dry days in sight. Lift by ${spoken(addDays(today, latest))} all the same, and dry under a roof.`)
  } else if (dry.on === today) {
    says.push('Dry today and tomorrow: lift now.')
  } else if (daysBetween(today, dry.on) <= latest) {
    says.push(`Wait for ${spoken(dry.on)}: two dry days then.`)
  } else {
    says.push(
      `Two dry days come only from ${spoken(dry.on)}, past ${spoken(addDays(today, latest))}, when it is overdue (${crop.readiness.lateCost}): take the driest hour before.`,
    )
  }
  return says
}

/** What is to cure is left unwatered for about so long before it is lifted, days. Common practice, no source. */
export const unwateredDays = 7
const wetMm = 2

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

const words = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' })
const spoken = (on: CivilDate) => words.format(new Date(`${on}T12:00:00Z`))
