import { createRequire } from 'node:module'
import * as fontkit from 'fontkit'

const family = '@expo-google-fonts/atkinson-hyperlegible-next'
export type Style = '400Regular' | '700Bold' | '400Regular_Italic' | '700Bold_Italic'

/** Where a style of our own typeface stands on the disk. */
export const fontFile = (style: Style): string =>
  createRequire(import.meta.url).resolve(`${family}/${style}/AtkinsonHyperlegibleNext_${style}.ttf`)

const opened = new Map<Style, fontkit.Font>()
function fontOf(style: Style): fontkit.Font {
  let font = opened.get(style)
  if (!font) opened.set(style, (font = fontkit.openSync(fontFile(style)) as fontkit.Font))
  return font
}

/**
 * A line as it fits its room: smaller first, no smaller than `least`, then cut off.
 * @param room as wide as it may be, in the measure of the sizes
 */
export function fitted(text: string, size: number, least: number, room: number, style: Style = '400Regular') {
  const font = fontOf(style)
  const width = (s: string) => font.layout(s).advanceWidth / font.unitsPerEm
  const letters = Array.from(text)
  let [shown, cut] = [text, letters.length]
  while (cut > 1 && width(shown) * least > room) shown = `${letters.slice(0, --cut).join('').trimEnd()}…`
  return { shown, size: Math.min(size, room / Math.max(1e-9, width(shown))) }
}

export const escape = (text: string): string => text.replace(/[<>&"']/g, (c) => `&#${c.charCodeAt(0)};`)

export interface Line {
  x: number
  /** the baseline */
  y: number
  /** wanted height of the letters; they get smaller before anything is cut off, but no smaller than `least` */
  size: number
  least: number
  /** as wide as it may be */
  room: number
  style?: Style
}

/**
 * A line of text in SVG as outlines of our own typeface: whatever opens or prints the file has no font to look for. What the
 * typeface has no letters for stays text.
 */
export function lettered(text: string, { x, y, size, least, room, style = '400Regular' }: Line): string {
  const font = fontOf(style)
  const { shown, size: em } = fitted(text, size, least, room, style)
  if (Array.from(text).some((letter) => !font.hasGlyphForCodePoint(letter.codePointAt(0)!))) {
    return `<text x="${x}" y="${y}" font-family="sans-serif" font-size="${em.toFixed(2)}">${escape(shown)}</text>`
  }
  const { glyphs, positions } = font.layout(shown)
  const scale = em / font.unitsPerEm
  let along = 0
  const outlines = glyphs.map((glyph, i) => {
    const { xAdvance, xOffset, yOffset } = positions[i]!
    const path = glyph.path.scale(scale, -scale).translate(x + (along + xOffset) * scale, y - yOffset * scale)
    along += xAdvance
    return path.toSVG().replace(/\d+\.\d+/g, (n) => String(Number(Number(n).toFixed(3))))
  })
  return `<path d="${outlines.join('')}" fill="#000000"/>`
}
