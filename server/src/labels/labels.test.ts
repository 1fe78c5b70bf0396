import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import jsQR from 'jsqr'
import { PNG } from 'pngjs'
import { describe, expect, it } from 'vitest'
import { labelPlace, labelSheets, type LabelSheetId } from '@vadose/contract/label-sheets'
import { labelsPdf, type Label } from './labels'

const label = (i: number): Label => ({
  words: {
    code: `G26-${i + 1}`,
    name: 'Garlic, hardneck',
    what: 'Quarry Stiff · Sound and a long word besides',
    date: 'brought in 2026-07-12',
    amount: '96 heads, 3.6 kg',
    form: 'net',
  },
  address: `http://127.0.0.1:8420/lots/G26-${i + 1}`,
})

/** Pages of a PDF as pictures, by another program than the one that wrote it. */
function pages(pdf: Buffer, dpi = 220): PNG[] {
  const folder = mkdtempSync(join(tmpdir(), 'vadose-labels-'))
  try {
    writeFileSync(join(folder, 'labels.pdf'), pdf)
    execFileSync('pdftoppm', ['-png', '-r', String(dpi), join(folder, 'labels.pdf'), join(folder, 'page')])
    return readdirSync(folder)
      .filter((f) => f.endsWith('.png'))
      .sort()
      .map((f) => PNG.sync.read(readFileSync(join(folder, f))))
  } finally {
    rmSync(folder, { recursive: true })
  }
}

/** What the QR within one label's place says. */
function readLabel(page: PNG, sheetId: LabelSheetId, n: number, dpi = 220): string | undefined {
  const sheet = labelSheets[sheetId]
  const { x, y } = labelPlace(sheet, n)
  const px = (mm: number) => Math.round((mm * dpi) / 25.4)
  const width = Math.min(px(sheet.size[0]), page.width - px(x))
  const height = Math.min(px(sheet.size[1]), page.height - px(y))
  const cut = new PNG({ width, height })
  PNG.bitblt(page, cut, px(x), px(y), width, height, 0, 0)
  return jsQR(new Uint8ClampedArray(cut.data), width, height)?.data
}

describe('label sheets', () => {
  it.each(Object.keys(labelSheets) as LabelSheetId[])('%s: no label leaves its page or touches another', (id) => {
    const sheet = labelSheets[id]
    const places = Array.from({ length: sheet.columns * sheet.rows }, (_, n) => labelPlace(sheet, n))
    for (const [i, a] of places.entries()) {
      expect(a.x + sheet.size[0]).toBeLessThanOrEqual(sheet.page[0] + 0.01)
      expect(a.y + sheet.size[1]).toBeLessThanOrEqual(sheet.page[1] + 0.01)
      for (const b of places.slice(i + 1)) {
        expect(Math.abs(a.x - b.x) >= sheet.size[0] - 1e-6 || Math.abs(a.y - b.y) >= sheet.size[1] - 1e-6).toBe(true)
      }
    }
  })
  it.each(Object.keys(labelSheets) as LabelSheetId[])(
    '%s: every QR decodes from the printed page (jsqr)',
    async (id) => {
      const perPage = labelSheets[id].columns * labelSheets[id].rows
      const labels = Array.from({ length: Math.min(perPage + 1, 4) }, (_, i) => label(i))
      const printed = pages(await labelsPdf(labels, id))
      labels.forEach((l, i) => {
        const { page } = labelPlace(labelSheets[id], i)
        expect(readLabel(printed[page]!, id, i)).toBe(l.address)
      })
    },
  )
  it('begins where the first sheet was used up, and goes on to the next', async () => {
    const printed = pages(await labelsPdf([label(0), label(1)], 'a4-21', 20))
    expect(printed).toHaveLength(2)
    expect(readLabel(printed[0]!, 'a4-21', 20)).toBe(label(0).address)
    expect(readLabel(printed[1]!, 'a4-21', 21)).toBe(label(1).address)
    expect(readLabel(printed[0]!, 'a4-21', 0)).toBeUndefined()
  })
})
