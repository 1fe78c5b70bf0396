import { hourMs } from '@vadose/core/air'
import { climateFor, placeKinds, type PlaceKind } from '@vadose/core/places'
import { placeAt } from '@vadose/core/practice'

/**
 * A stand-in for a sensor: sends what a place of its kind would have had, every ten minutes of the last hours, through
 * the same door as a real one.
 */
async function main([url, token, kind = 'cellar', hoursText = '24']: string[]): Promise<void> {
  const hours = Number(hoursText)
  if (!url || !token || !Object.hasOwn(placeKinds, kind) || !(hours > 0 && hours <= 24 * 30)) {
    throw new Error(
      `Usage: ./vadose sensor http://127.0.0.1:8421 TOKEN [KIND] [HOURS]; kinds: ${Object.keys(placeKinds).join(', ')}; at most 720 hours.`,
    )
  }
  const weather = { climate: climateFor(47, 430), seed: 5 }
  const stepMs = hourMs / 6
  const last = Math.floor(Date.now() / stepMs) * stepMs
  const readings = Array.from({ length: Math.ceil(hours * 6) }, (_, i) => {
    const ms = last - i * stepMs
    return { at: new Date(ms).toISOString(), ...placeAt(weather, kind as PlaceKind, ms, 1) }
  })
  const response = await fetch(new URL('/api/ingest', url), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` },
    body: JSON.stringify({ readings }),
  })
  const answer = (await response.json()) as { taken?: number; already?: number; error?: { message: string } }
  if (!response.ok) throw new Error(answer.error?.message ?? `The server answered ${response.status}.`)
  console.log(`${readings.length} readings sent: ${answer.taken} new, ${answer.already} there already.`)
}

main(process.argv.slice(2)).catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exit(2)
})
