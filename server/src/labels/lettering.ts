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
  const width = (s: string) => font.layout(s).advanceWidth / font.unitsPerEm
  const letters = Array.from(text)
  const fits = (s: string) => width(s) * least <= room
  let cut = letters.length
  const shown = () => (cut < letters.length ? `${letters.slice(0, cut).join('').trimEnd()}…` : text)
  while (cut > 1 && !fits(shown())) cut--
  const here = shown()
  const em = Math.min(size, room / Math.max(1e-9, width(here)))
  if (letters.some((letter) => !font.hasGlyphForCodePoint(letter.codePointAt(0)!))) {
    return `<text x="${x}" y="${y}" font-family="sans-serif" font-size="${em.toFixed(2)}">${escape(here)}</text>`
  }
  const { glyphs, positions } = font.layout(here)
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
