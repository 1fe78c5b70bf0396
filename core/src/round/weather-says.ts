import { listing, onDay, rain, told, type Message } from '../message'
import { dampFromPct, hangingFrostC, rainFromMm } from '../assumptions'

export interface SkyDay {
  on: string
  /** the lowest of the night that begins on this day, °C */
  nightC: number
  humidityPct: number
  /** mm; null where nobody says */
  rainMm: number | null
}

/**
 * What the days ahead mean for what hangs under an open roof.
 * @param outside how many lots hang there
 */
export function weatherSays(ahead: readonly SkyDay[], outside: number): Message[] {
  const says: Message[] = []
  const frost = ahead.find((day) => day.nightC < hangingFrostC)
  if (frost) says.push(told('weather.frost', { on: onDay(frost.on, 'weekday-only'), outside }))
  if (outside && ahead.length > 0) {
    const mean = ahead.reduce((sum, day) => sum + day.humidityPct, 0) / ahead.length
    const wet = ahead.find((day) => (day.rainMm ?? 0) >= rainFromMm)
    const rainfall =
      wet && told('weather.rain', { on: onDay(wet.on, 'weekday-only'), rain: rain(Math.round(wet.rainMm!)) })
    const air = mean > dampFromPct ? told('weather.damp') : told('weather.drying', { pct: Math.round(mean) })
    says.push(told('weather.ahead', { parts: listing([air, rainfall], ' ') }))
  }
  return says
}
