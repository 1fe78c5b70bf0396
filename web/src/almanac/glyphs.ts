import type { Crop, Form } from '@vadose/core/almanac'

/** Outlines of what lies on a shelf, 16 wide and 32 high, standing on the shelf at 31. */
const outlines = {
  onion:
    'M8 2c.3 5-1 6.500-3 8C2 12 0 15.500 0 20c0 6 3.500 10.500 8 10.500S16 26 16 20c0-4.500-2-8-5-10-2-1.500-3.300-3-3-8z M3 17c1 5 2 9 4 12',
  garlic:
    'M8 1c.6 5 .4 7-2 9C2 13 0 17 0 21.500c0 5 3.500 9 8 9s8-4 8-9c0-4.500-2-8.500-6-11.500-2.400-2-2.600-4-2-9z M8 12c-2 5-2 12 0 18 M8 12c2 5 2 12 0 18',
  leek: 'M5.500 30.500h5c1.500-9 0-17 4.500-27-3 1-5 4-6 7-.2-4-.5-6-1-9-.5 3-.8 5-1 9-1-3-3-6-6-7 4.500 10 3 18 4.500 27z M8 11v18',
  tuber:
    'M3 14c3-3 9-3 12 1 2 5 0 12-4 15-4 1.500-9 0-10.500-4C-.5 21 .5 16.500 3 14z M5 19h1 M10 17h1 M8 24h1 M12 22h1',
  squash:
    'M7 8V3l3-1v6 M8 8c-6-1-8.500 5-8 12 .4 6 3 10.500 8 10.500S15.600 26 16 20c.5-7-2-13-8-12z M5 10c-2 6-2 14 0 20 M11 10c2 6 2 14 0 20',
  longRoot:
    'M8 10C6 6 4 4 2 3c3 0 5 2 6 5 .5-3 2-5 5-6-1.500 2-3 4-3.500 8 M3 11c2-2 8-2 10 0 0 7-2.500 15-5 19.500C5.500 26 3 18 3 11z M5 15h4 M7 20h3',
  roundRoot:
    'M8 11C7 7 5 4 2 3c3-.5 5 2 6 5 1-3 3-5 6-5-3 2-4.500 4-5 8 M1 19c0-5 3-8 7-8s7 3 7 8-3 8.500-6 9.500L8 31l-1-2.500C4 27.500 1 24 1 19z',
  cabbage:
    'M0 21c0-6 3.500-10.500 8-10.500S16 15 16 21s-3.500 9.500-8 9.500S0 27 0 21z M8 11c-3 5-3 14 0 19 M8 15c3-2 5-2 7 0 M8 20c-3-2-5-2-7 0 M8 24c3-1.500 4.500-1.500 6.500 0',
  leaf: 'M8 30.500V16 M8 24C2 24-.5 16 2 10c2-5 5-7 6-8 1 1 4 3 6 8 2.500 6 0 14-6 14z M8 18l-4-3 M8 21l4-3',
  tomato:
    'M0 21c0-5.500 3.500-9 8-9s8 3.500 8 9-3.500 9.500-8 9.500S0 26.500 0 21z M8 12V8 M8 12l-4-2 M8 12l4-2 M8 12l-3 3 M8 12l3 3',
  pepper:
    'M8 9c0-3 1-5 3-6 M3 12c1-3 9-3 10 0 2 6 0 12-3 16-1.500 2.500-3 2.500-4.500 0C3 24 1 18 3 12z M7 13c-1 5-.5 10 1 14',
  long: 'M8 6V3 M4.500 10c0-5 7-5 7 0 1 7 1 13 0 18-.8 3.500-6.200 3.500-7 0-1-5-1-11 0-18z M8 10v16',
  pod: 'M12 2c2 9 1 20-5 28-1 1.500-3 1-3.500-.5C2 21 6 10 12 2z M9.500 11a1.500 1.500 0 1 0 .1 0 M7.500 17a1.500 1.500 0 1 0 .1 0 M5.800 23a1.500 1.500 0 1 0 .1 0',
  cob: 'M8 2c4 4 4.500 14 3 22-.6 3-5.400 3-6 0C3.500 16 4 6 8 2z M5 9h6 M4.500 14h7 M4.500 19h7 M8 4v21 M5 22C2 20 1 16 1 13c3 4 4 9 6 17.500 M11 22c3-2 4-6 4-9-3 4-4 9-6 17.500',
  ear: 'M8 31V8 M8 8c-2-2-2-4 0-6 2 2 2 4 0 6z M8 13c-3 0-5-2-5-5 3 0 5 2 5 5z M8 13c3 0 5-2 5-5-3 0-5 2-5 5z M8 19c-3 0-5-2-5-5 3 0 5 2 5 5z M8 19c3 0 5-2 5-5-3 0-5 2-5 5z',
  apple:
    'M8 14c0-4 1-6 3-8 M8 15c2-3 8-2 8 5 0 6-3 10.500-5.500 10.500-1 0-1.500-.5-2.500-.5s-1.500.5-2.500.5C3 30.500 0 26 0 20c0-7 6-8 8-5z M9.500 9c2-2.500 4-2.500 5.500-2-1 2.500-3 3.500-5.500 2z',
  pear: 'M8 7c0-2 1-4 2.500-5 M8 7c3 0 3.500 3 4 6 .7 3.500 4 5 4 10 0 5-3.500 7.500-8 7.500S0 28 0 23c0-5 3.300-6.500 4-10 .5-3 1-6 4-6z',
  stone: 'M8 14c1-4 3-6 6-7 M1 22c0-5 3-8 7-8s7 3 7 8-3 8.500-7 8.500S1 27 1 22z M8 14c-2.500 4-2.500 12 0 16.500',
  berry:
    'M8 13V8 M4 17a4 4 0 1 0 .1 0z M12 17a4 4 0 1 0 .1 0z M8 22.500a4 4 0 1 0 .1 0z M8 8c-3-2-5-2-6-1 2 2 4 2 6 1z',
  sprig:
    'M8 31V6 M8 12C5 12 3 10 3 7c3 0 5 2 5 5z M8 12c3 0 5-2 5-5-3 0-5 2-5 5z M8 20c-4 0-6-2-6-5 4 0 6 2 6 5z M8 20c4 0 6-2 6-5-4 0-6 2-6 5z M8 6c-1.500-1.500-1.500-3 0-4.500 1.500 1.500 1.500 3 0 4.500z',
  jar: 'M3 4h10v4H3z M2 10c0-1 1-2 2-2h8c1 0 2 1 2 2v18c0 1.500-1 2.500-2.500 2.500h-7C3 30.500 2 29.500 2 28z M2 15h12 M5 20h6v5H5z',
  packet: 'M2 6h12v24.500H2z M2 6l2-3h8l2 3 M5 13h6v8H5z M5 25h6',
  bag: 'M1 9c0-2 1-3 3-4l-1-3h10l-1 3c2 1 3 2 3 4v18c0 2.500-1 3.500-3 3.500H4c-2 0-3-1-3-3.500z M3 5h10 M8 13v12 M3.500 16l9 6 M12.500 16l-9 6',
} as const
type Glyph = keyof typeof outlines

const ofGroup: Record<Crop['group'], Glyph> = {
  allium: 'onion',
  tuber: 'tuber',
  squash: 'squash',
  root: 'longRoot',
  cabbage: 'cabbage',
  leaf: 'leaf',
  fruiting: 'tomato',
  legume: 'pod',
  seed: 'ear',
  orchard: 'apple',
  stone: 'stone',
  berry: 'berry',
  herb: 'sprig',
  brining: 'berry',
  goods: 'packet',
}
/** Those that look otherwise than the rest of their group. */
const ofCrop: Record<string, Glyph> = {
  'garlic-hardneck': 'garlic',
  'garlic-softneck': 'garlic',
  leek: 'leek',
  beetroot: 'roundRoot',
  celeriac: 'roundRoot',
  swede: 'roundRoot',
  turnip: 'roundRoot',
  kohlrabi: 'roundRoot',
  courgette: 'long',
  pepper: 'pepper',
  chilli: 'pepper',
  cucumber: 'long',
  aubergine: 'long',
  sweetcorn: 'cob',
  maize: 'cob',
  pear: 'pear',
  grape: 'berry',
}

/** What a lot looks like on its shelf: its crop, the jar its dried form stands in, the bag it is frozen in. */
const glyphOf = ({ id, group }: Pick<Crop, 'id' | 'group'>, form: Form): Glyph =>
  form === 'dried' ? 'jar' : form === 'frozen' ? 'bag' : (ofCrop[id] ?? ofGroup[group])

export const outlineOf = (crop: Pick<Crop, 'id' | 'group'>, form: Form): string => outlines[glyphOf(crop, form)]
