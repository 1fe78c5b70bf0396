/** A made-up year of a cellar logger, every five minutes, local time of a house with summer time, in °F. */
export function loggerYear(rows = 105_120): string {
  const lines = ['Logger,cellar shelf', 'Date/Time,Temp (°F),RH (%)']
  const first = Date.UTC(2025, 8, 1)
  const two = (n: number) => String(n).padStart(2, '0')
  for (let i = 0; i < rows; i++) {
    const ms = first + i * 300_000
    // Vienna: two hours ahead in summer, one in winter (clocks of 2025 and 2026 change on 26 October and 29 March)
    const summer = ms < Date.UTC(2025, 9, 26, 1) || ms >= Date.UTC(2026, 2, 29, 1)
    const local = new Date(ms + (summer ? 2 : 1) * 3_600_000)
    const day = i / 288
    const celsius = 10 + 3 * Math.cos((2 * Math.PI * day) / 365) + 0.4 * Math.sin((2 * Math.PI * day) / 3)
    lines.push(
      `${two(local.getUTCDate())}.${two(local.getUTCMonth() + 1)}.${local.getUTCFullYear()} ${two(local.getUTCHours())}:${two(local.getUTCMinutes())},${(celsius * 1.8 + 32).toFixed(1)},${(86 + 4 * Math.sin(day / 5)).toFixed(1)}`,
    )
  }
  return lines.join('\n') + '\n'
}
