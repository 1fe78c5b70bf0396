export interface SkyDay {
  on: string
  /** the lowest of the night that begins on this day, °C */
  nightC: number
  humidityPct: number
  /** mm; null where nobody says */
  rainMm: number | null
}

/** A night in which what hangs under an open roof may freeze, °C on a screen's thermometer. Common practice, no source. */
const frostFromC = 0.5
const rainFromMm = 1
/** above this mean humidity the air under an open roof hardly pulls, %. Judgement. */
const dampFromPct = 80

const words = new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' })
const spoken = (on: string) => words.format(new Date(`${on}T12:00:00Z`))

/**
 * What the days ahead mean for what hangs under an open roof.
 * @param outside how many lots hang there
 */
export function weatherSays(ahead: readonly SkyDay[], outside: number): string[] {
  const says: string[] = []
  const frost = ahead.find((day) => day.nightC < frostFromC)
  if (frost) {
    const lots =
      outside === 1
        ? 'one lot hangs on the veranda, bring it in before'
        : `${outside} lots hang on the veranda, bring them in before`
    says.push(`Frost likely on ${spoken(frost.on)}${outside ? `: ${lots}` : ''}.`)
  }
  if (outside && ahead.length > 0) {
    const mean = ahead.reduce((sum, day) => sum + day.humidityPct, 0) / ahead.length
    const wet = ahead.find((day) => (day.rainMm ?? 0) >= rainFromMm)
    const rain = wet ? ` Rain on ${spoken(wet.on)}, ${Math.round(wet.rainMm!)} mm.` : ''
    says.push(
      mean > dampFromPct
        ? `Damp days ahead: what hangs outside will hardly dry.${rain}`
        : `Drying goes on: about ${Math.round(mean)} % humidity in the next days.${rain}`,
    )
  }
  return says
}
