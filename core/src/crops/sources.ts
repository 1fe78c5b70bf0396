/** Every source a crop's numbers may name, listed once. */
export const sources = {
  hb66: {
    kind: 'published',
    text: 'USDA Agriculture Handbook 66, The Commercial Storage of Fruits, Vegetables, and Florist and Nursery Stocks (recalled, not re-read)',
  },
  ashrae: {
    kind: 'published',
    text: 'ASHRAE Handbook Refrigeration, Thermal Properties of Foods (recalled, not re-read)',
  },
  becker: {
    kind: 'published',
    text: 'Becker, Misra & Fricke 1996, respiration coefficients; in ASHRAE Handbook Refrigeration (recalled, not re-read)',
  },
  sastry: {
    kind: 'published',
    text: 'Sastry, Baird & Buffington 1978, transpiration coefficients; in ASHRAE Handbook Refrigeration (recalled, not re-read)',
  },
  robinson: {
    kind: 'published',
    text: 'Robinson, Browne & Burton 1975, Ann. appl. Biol. 81:399–408 (recalled, not re-read)',
  },
  practice: { kind: 'practice', text: 'Common practice, no source' },
  fit: {
    kind: 'practice',
    text: 'Our fit to several practice ranges in their own climates, checked in the tests',
  },
  judgement: { kind: 'memory', text: 'Our judgement, from memory; unsure' },
} as const
