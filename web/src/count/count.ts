import type { CountLine, CountView } from '@vadose/contract/count'
import { readShelf, type Shelved } from '@vadose/core/count'
import { gramsFrom, weight } from '../households'
import { say } from './say'

/** What a line of the count says when it is kept. */
export type Said = { same: true } | { pieces: number; typed: string } | { weightG: number; typed: string }

/**
 * What was typed before a shelf: nothing is “as expected”, figures are a count, or a weight where it is weighed.
 * @returns undefined for what cannot be read
 */
export function saidOf(typed: string, byWeight: boolean): Said | undefined {
  const text = typed.trim()
  if (text === '' || text === '=') return { same: true }
  if (byWeight) {
    // what was weighed in several bowls is added up
    const parts = text.split('+').map((part) => (part.trim() === '0' ? 0 : gramsFrom(part, 'kg')))
    return parts.includes(null) ? undefined : { weightG: parts.reduce<number>((sum, g) => sum + g!, 0), typed: text }
  }
  const shelf = readShelf(text)
  return shelf && { pieces: shelf.total, typed: text }
}

export const shelfOf = (typed: string): Shelved | undefined => readShelf(typed.trim())

/** All lines in walking order, each with its shelf. */
export const linesOf = (view: CountView) =>
  view.shelves.flatMap(({ placeId, place, lines }) => lines.map((line) => ({ line, placeId, place })))

/** The next line nobody has counted, from one on and round again, its own shelf first. */
export function nextAfter(view: CountView, code: string | undefined): string | undefined {
  const all = linesOf(view)
  const at = all.findIndex(({ line }) => line.code === code)
  const round = [...all.slice(at + 1), ...all.slice(0, at + 1)]
  const open = round.filter(({ line }) => line.counted === null && line.code !== code)
  const shelf = all[at]?.placeId
  return (open.find(({ placeId }) => placeId === shelf) ?? open[0])?.line.code
}

/** How far off a line is, in words: “2 jars fewer”. */
export function offWords({ counted, pieces }: CountLine, piece: { one: string; many: string }): string {
  if (!counted) return ''
  const off = counted.offPieces
  if (off !== null && pieces !== null) {
    if (off === 0) return say('asExpected3')
    const n = Math.abs(off)
    return `${n} ${n === 1 ? piece.one : piece.many} ${off < 0 ? 'fewer' : 'more'}`
  }
  return counted.offG === 0
    ? say('asExpected3')
    : `${weight(Math.abs(counted.offG))} ${counted.offG < 0 ? 'less' : 'more'}`
}

export const isOff = ({ counted }: CountLine): boolean =>
  counted !== null && (counted.offG !== 0 || (counted.offPieces ?? 0) !== 0)

/** Off by so much that it is asked about while somebody still stands there: two, or a tenth of the weight. */
export const isFarOff = ({ counted, weightG }: CountLine): boolean =>
  counted !== null &&
  (counted.offPieces === null ? Math.abs(counted.offG) > weightG / 10 : Math.abs(counted.offPieces) >= 2)

/** What was counted on all shelves so far. */
export function tallyOf(view: CountView) {
  const lines = linesOf(view).map(({ line }) => line)
  const counted = lines.filter((line) => line.counted !== null)
  const sum = (sign: 1 | -1) =>
    counted.reduce((all, { counted: c }) => all + Math.max(0, sign * (c!.offPieces ?? 0)), 0)
  return {
    lines: lines.length,
    counted: counted.length,
    asExpected: counted.filter((line) => !isOff(line)).length,
    fewer: sum(-1),
    more: sum(1),
    lessG: counted.reduce((all, { counted: c }) => all + (c!.offPieces === null ? Math.max(0, -c!.offG) : 0), 0),
  }
}
