import type { YearView } from '@vadose/contract/year'

type Line = YearView['lines'][number]

/** A ribbon of a line: half its thickness for each day, and the paths it is drawn with. */
export interface Ribbon {
  past: string
  ahead: string
  low: string
  high: string
  mostG: number
}

const dayNumber = (date: string) => Date.parse(`${date}T00:00:00Z`) / 86_400_000

/** A day along the chart, 0…1. */
export const along = (on: string, { from, to }: Pick<YearView, 'from' | 'to'>): number =>
  Math.max(0, Math.min(1, (dayNumber(on) - dayNumber(from)) / Math.max(1, dayNumber(to) - dayNumber(from))))

/**
 * Outlines of a line’s ribbon about its middle.
 * @param x where a day is; half: half the height a ribbon may have
 */
export function ribbonOf(line: Line, x: (on: string) => number, half: number): Ribbon {
  const mostG = Math.max(1, ...line.past.map(({ g }) => g), ...line.ahead.map(({ g }) => g.p90))
  const y = (g: number) => (Math.max(0, g) / mostG) * half
  const outline = (points: { on: string; g: number }[]) => {
    if (points.length === 0) return ''
    const up = points.map(({ on, g }) => `${x(on).toFixed(1)} ${(0 - y(g)).toFixed(1)}`)
    const down = [...points].reverse().map(({ on, g }) => `${x(on).toFixed(1)} ${y(g).toFixed(1)}`)
    return `M${[...up, ...down].join('L')}Z`
  }
  const edge = (of: 'p10' | 'p90') => {
    const points = line.ahead.map(({ on, g }) => ({ on, g: g[of] }))
    const side = (sign: 1 | -1) =>
      `M${points.map(({ on, g }) => `${x(on).toFixed(1)} ${(sign * y(g)).toFixed(1)}`).join('L')}`
    return points.length > 1 ? side(-1) + side(1) : ''
  }
  return {
    past: outline(line.past),
    ahead: outline(line.ahead.map(({ on, g }) => ({ on, g: g.p50 }))),
    low: edge('p10'),
    high: edge('p90'),
    mostG,
  }
}

/** What a line holds on a day that is pointed at: counted before today, expected after. */
export function heldOn(line: Line, on: string, today: string): { g: number; low?: number; high?: number } {
  if (on <= today) {
    const at = [...line.past].reverse().find((point) => point.on <= on)
    return { g: at?.g ?? 0 }
  }
  const next = line.ahead.find((point) => point.on >= on) ?? line.ahead.at(-1)
  return next ? { g: next.g.p50, low: next.g.p10, high: next.g.p90 } : { g: 0 }
}
