/** How a lot dries: in bunches, plaits, on racks, in paper bags, on sheets, in boxes. */
export const hungInWords = {
  bunch: 'in bunches',
  plait: 'in plaits',
  rack: 'on racks',
  bag: 'in paper bags',
  sheet: 'on sheets',
  box: 'in open boxes',
} as const
export type HungIn = keyof typeof hungInWords

/** What one of them is called that is marked and weighed for the lot. */
export const markedWords: Record<HungIn, string> = {
  bunch: 'bunch',
  plait: 'plait',
  rack: 'tray',
  bag: 'bag',
  sheet: 'tray',
  box: 'box',
}
