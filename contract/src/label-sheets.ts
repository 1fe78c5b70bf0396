/** Sizes of labels, mm: what stationers sell as sheets, and the common roll. The server prints on them, the page shows where. */
export interface LabelSheet {
  label: string
  page: [width: number, height: number]
  columns: number
  rows: number
  size: [width: number, height: number]
  /** left and top margins, and the gaps between labels */
  margin: [left: number, top: number]
  gap: [x: number, y: number]
}

export const labelSheets = {
  'a4-21': {
    label: 'A4, 21 labels of 63.5 × 38.1 mm',
    page: [210, 297],
    columns: 3,
    rows: 7,
    size: [63.5, 38.1],
    margin: [7.25, 15.15],
    gap: [2.5, 0],
  },
  'a4-24': {
    label: 'A4, 24 labels of 70 × 37 mm',
    page: [210, 297],
    columns: 3,
    rows: 8,
    size: [70, 37],
    margin: [0, 0.5],
    gap: [0, 0],
  },
  'a4-14': {
    label: 'A4, 14 labels of 99.1 × 38.1 mm',
    page: [210, 297],
    columns: 2,
    rows: 7,
    size: [99.1, 38.1],
    margin: [4.65, 15.15],
    gap: [2.5, 0],
  },
  'letter-30': {
    label: 'Letter, 30 labels of 2⅝ × 1 inch',
    page: [215.9, 279.4],
    columns: 3,
    rows: 10,
    size: [66.675, 25.4],
    margin: [4.76, 12.7],
    gap: [3.175, 0],
  },
  'roll-58': {
    label: 'Roll 58 mm, one label of 40 mm after another',
    page: [58, 40],
    columns: 1,
    rows: 1,
    size: [58, 40],
    margin: [0, 0],
    gap: [0, 0],
  },
} as const satisfies Record<string, LabelSheet>

export type LabelSheetId = keyof typeof labelSheets

/** Upper left corner of the n-th label, mm, and its page; counting from the sheet's first. */
export function labelPlace(sheet: LabelSheet, n: number): { page: number; x: number; y: number } {
  const perPage = sheet.columns * sheet.rows
  const at = n % perPage
  return {
    page: Math.floor(n / perPage),
    x: sheet.margin[0] + (at % sheet.columns) * (sheet.size[0] + sheet.gap[0]),
    y: sheet.margin[1] + Math.floor(at / sheet.columns) * (sheet.size[1] + sheet.gap[1]),
  }
}
