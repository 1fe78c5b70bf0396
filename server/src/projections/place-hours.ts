import { endianness } from 'node:os'
import { hourMs } from '@vadose/core/air'
import type { MonthOfHours } from '@vadose/core/readings'
import type { Client } from '../database'
import { keepMonth, measuredHours, monthsOfPlace, raiseAirRevision, type MonthRow } from './air-queries'

const hoursOfMonth = (month: string): number => {
  const [year, number] = month.split('-').map(Number) as [number, number]
  return (Date.UTC(year, number, 1) - Date.UTC(year, number - 1, 1)) / hourMs
}
/** First day of the month (UTC, as they are kept) an instant lies in. */
export const monthOf = (ms: number): string => `${new Date(ms).toISOString().slice(0, 7)}-01`
const startOf = (month: string): number => Date.parse(`${month}T00:00:00Z`)

function bytesOf(floats: Float32Array): Buffer {
  const bytes = Buffer.alloc(4 * floats.length)
  floats.forEach((value, i) => bytes.writeFloatLE(value, 4 * i))
  return bytes
}

export interface MonthRead extends MonthOfHours {
  rainMm: Float32Array | null
  lastAtMs: number | null
}

const bytesIn = (hex: string | null): number => (hex?.length ?? 0) / 2

/**
 * The hours of months, all in one piece of memory: V8 marks some milliseconds of its heap with each small one, as long as
 * it is at it, and there are hundreds in ten years.
 */
export function monthsOfHours(rows: readonly MonthRow[]): MonthRead[] {
  const columns = (row: MonthRow) => [row.temperatureC, row.relativeHumidityPct, row.rainMm]
  const length = rows.flatMap(columns).reduce((sum, hex) => sum + bytesIn(hex), 0)
  const bytes = Buffer.from(new ArrayBuffer(length))
  let end = 0
  const floatsOf = (hex: string): Float32Array => {
    const from = end
    end += bytes.write(hex, from, 'hex')
    return new Float32Array(bytes.buffer, from, (end - from) / Float32Array.BYTES_PER_ELEMENT)
  }
  const months = rows.map((row) => ({
    startMs: startOf(row.month),
    temperatureC: floatsOf(row.temperatureC),
    relativeHumidityPct: floatsOf(row.relativeHumidityPct),
    rainMm: row.rainMm === null ? null : floatsOf(row.rainMm),
    lastAtMs: row.lastAt?.getTime() ?? null,
  }))
  if (endianness() === 'BE') bytes.swap32()
  return months
}

function monthsBetween(fromMs: number, toMs: number): string[] {
  const months: string[] = []
  for (
    let month = monthOf(fromMs);
    startOf(month) <= toMs;
    month = monthOf(startOf(month) + hoursOfMonth(month) * hourMs)
  ) {
    months.push(month)
  }
  return months
}

/**
 * Writes a place's hours between two instants anew from its readings. Called in the transaction that changed them, after
 * the household is locked; nothing else of the place is read or written, however long it has been measured.
 */
export async function redoHours(
  db: Client,
  householdId: string,
  placeId: string,
  fromMs: number,
  toMs: number,
): Promise<void> {
  const from = Math.floor(fromMs / hourMs) * hourMs
  const to = Math.floor(toMs / hourMs) * hourMs + hourMs
  const months = monthsBetween(from, to - 1)
  const revision = await raiseAirRevision(db, householdId)
  const hours = await measuredHours(db, householdId, placeId, new Date(from), new Date(to))
  const kept = await monthsOfPlace(db, householdId, placeId, months[0]!, months.at(-1)!)
  for (const month of months) {
    const start = startOf(month)
    const length = hoursOfMonth(month)
    const [had] = monthsOfHours(kept.filter((row) => row.month === month))
    const temperatureC = had?.temperatureC ?? new Float32Array(length).fill(NaN)
    const relativeHumidityPct = had?.relativeHumidityPct ?? new Float32Array(length).fill(NaN)
    const rain = had?.rainMm ?? new Float32Array(length).fill(NaN)
    const first = Math.max(0, (from - start) / hourMs)
    const last = Math.min(length, (to - start) / hourMs)
    temperatureC.fill(NaN, first, last)
    relativeHumidityPct.fill(NaN, first, last)
    rain.fill(NaN, first, last)
    let lastAtMs = had?.lastAtMs ?? -Infinity
    if (lastAtMs >= from && lastAtMs < to) lastAtMs = -Infinity
    for (const hour of hours) {
      const i = (hour.hourMs - start) / hourMs
      if (i < 0 || i >= length) continue
      temperatureC[i] = hour.temperatureC
      relativeHumidityPct[i] = hour.relativeHumidityPct
      rain[i] = hour.rainMm ?? NaN
      lastAtMs = Math.max(lastAtMs, hour.lastAt.getTime())
    }
    // a newest reading that was taken back leaves the last hour that is still measured
    if (lastAtMs === -Infinity) {
      const left = temperatureC.findLastIndex((t) => !Number.isNaN(t))
      if (left >= 0) lastAtMs = start + left * hourMs
    }
    await keepMonth(
      db,
      householdId,
      {
        placeId,
        month,
        temperatureC: bytesOf(temperatureC),
        relativeHumidityPct: bytesOf(relativeHumidityPct),
        rainMm: rain.every((mm) => Number.isNaN(mm)) ? null : bytesOf(rain),
        lastAt: lastAtMs === -Infinity ? null : new Date(lastAtMs),
      },
      revision,
    )
  }
}
