import pdfmake from 'pdfmake'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { fitted, fontFile } from './lettering'
import { qrPath, type TagWords } from './tag'
import { labelPlace, labelSheets, type LabelSheetId } from '@vadose/contract/label-sheets'

// nothing is fetched, and only the fonts are read
pdfmake.setUrlAccessPolicy(() => false)
pdfmake.setLocalAccessPolicy((path) => path.endsWith('.ttf'))
pdfmake.setFonts({
  Atkinson: {
    normal: fontFile('400Regular'),
    bold: fontFile('700Bold'),
    italics: fontFile('400Regular_Italic'),
    bolditalics: fontFile('700Bold_Italic'),
  },
})

export interface Label {
  words: TagWords
  /** what its QR opens */
  address: string
}

const points = (mm: number) => (mm * 72) / 25.4
/** Lines that would run into the QR are set smaller, down to this, then cut. */
const smallestPt = 5.5

/**
 * Labels as a PDF, in the sheet's places.
 * @param skip labels already used on the first sheet
 * @returns the PDF's bytes
 */
export async function labelsPdf(labels: readonly Label[], sheetId: LabelSheetId, skip = 0): Promise<Buffer> {
  const sheet = labelSheets[sheetId]
  const [width, height] = sheet.size
  const small = height < 30
  const qrMm = Math.min(height - 6, width * 0.37, 25)
  const content: Content[] = []
  let page = 0
  labels.forEach((label, i) => {
    const place = labelPlace(sheet, skip + i)
    const left = place.x + 3.5
    const room = points(width - qrMm - 9)
    const line = (text: string, wantedPt: number, y: number, bold = false): Content => {
      const { shown, size } = fitted(text, wantedPt, smallestPt, room, bold ? '700Bold' : '400Regular')
      return {
        text: shown,
        fontSize: size,
        bold,
        noWrap: true,
        absolutePosition: { x: points(left), y: points(place.y + y) },
      }
    }
    const { code, name, what, date, amount, form } = label.words
    const body = [name, what, form, amount, date].filter(Boolean)
    const parts: Content[] = [
      line(code, small ? 12 : 16, small ? 2 : 3, true),
      ...body.map((text, k) =>
        line(
          text,
          k === 0 ? (small ? 8 : 9.5) : small ? 6.5 : 8,
          (small ? 7.4 : 10.6) + k * (small ? 3.1 : 4.6),
          k === 0,
        ),
      ),
      {
        svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><path d="${qrPath(label.address, 100)}" fill="#000"/></svg>`,
        width: points(qrMm),
        absolutePosition: { x: points(place.x + width - qrMm - 3.5), y: points(place.y + (height - qrMm) / 2) },
      },
    ]
    if (place.page > page) {
      // a page break needs something in the flow to hang on
      content.push({ text: ' ', fontSize: 1, pageBreak: 'before' })
      page = place.page
    }
    content.push(...parts)
  })
  const document: TDocumentDefinitions = {
    pageSize: { width: points(sheet.page[0]), height: points(sheet.page[1]) },
    pageMargins: [0, 0, 0, 0],
    content,
    defaultStyle: { font: 'Atkinson' },
    info: { title: 'Labels', creator: 'Vadose' },
  }
  return pdfmake.createPdf(document).getBuffer()
}
