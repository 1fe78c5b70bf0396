const recalled = '(recalled, not re-read)'

/** Every source a crop's numbers may name, listed once. */
export const sources = {
  hb66: {
    kind: 'published',
    short: 'HB 66',
    text: `USDA Agriculture Handbook 66, The Commercial Storage of Fruits, Vegetables, and Florist and Nursery Stocks, 1986 and 2016 ${recalled}`,
  },
  hb119: {
    kind: 'published',
    short: 'HB 119',
    text: `USDA Home and Garden Bulletin 119, Storing Vegetables and Fruits in Basements, Cellars, Outbuildings, and Pits ${recalled}`,
  },
  davis: {
    kind: 'published',
    short: 'UC Davis',
    text: `UC Davis Postharvest, produce facts and properties tables (Cantwell) ${recalled}`,
  },
  extension: {
    kind: 'published',
    short: 'extension',
    text: `US land-grant extension bulletins on home storage, in general ${recalled}`,
  },
  ashrae: {
    kind: 'published',
    short: 'ASHRAE',
    text: `ASHRAE Handbook Refrigeration, Thermal Properties of Foods ${recalled}`,
  },
  becker: {
    kind: 'published',
    short: 'Becker 1996',
    text: `Becker, Misra & Fricke 1996, respiration coefficients; in ASHRAE Handbook Refrigeration ${recalled}`,
  },
  sastry: {
    kind: 'published',
    short: 'Sastry 1978',
    text: `Sastry, Baird & Buffington 1978, transpiration coefficients; in ASHRAE Handbook Refrigeration ${recalled}`,
  },
  robinson: {
    kind: 'published',
    short: 'Robinson 1975',
    text: `Robinson, Browne & Burton 1975, Ann. appl. Biol. 81:399–408 ${recalled}`,
  },
  fdc: { kind: 'published', short: 'USDA FDC', text: `USDA FoodData Central, SR Legacy ${recalled}` },
  nchfp: {
    kind: 'published',
    short: 'NCHFP',
    text: `National Center for Home Food Preservation; So Easy to Preserve; UGA Preserving Food bulletins ${recalled}`,
  },
  iir: {
    kind: 'published',
    short: 'IIR 1986',
    text: `International Institute of Refrigeration, Recommendations for the Processing and Handling of Frozen Foods, 3rd ed., 1986 ${recalled}`,
  },
  fsis: { kind: 'published', short: 'USDA FSIS', text: `USDA Food Safety and Inspection Service ${recalled}` },
  cghc: {
    kind: 'published',
    short: 'USDA Guide',
    text: `USDA Complete Guide to Home Canning, AIB 539, 2015 ${recalled}`,
  },
  fda: { kind: 'published', short: 'FDA', text: `US FDA Bad Bug Book, 2nd ed., 2012 ${recalled}` },
  anr8568: {
    kind: 'published',
    short: 'UC ANR 8568',
    text: `University of California ANR Publication 8568, Garlic: Safe Methods to Store, Preserve, and Enjoy ${recalled}`,
  },
  anses: { kind: 'published', short: 'ANSES', text: `ANSES and BfR notices on bitter squash, 2015–2018 ${recalled}` },
  efsa: { kind: 'published', short: 'EFSA', text: `EFSA opinions and JECFA evaluations ${recalled}` },
  mwps: {
    kind: 'published',
    short: 'MWPS-13',
    text: `Midwest Plan Service, Grain Drying, Handling and Storage Handbook ${recalled}`,
  },
  practice: { kind: 'practice', short: 'practice', text: 'Common practice, no source' },
  fit: {
    kind: 'practice',
    short: 'our fit',
    text: 'Our fit to several practice ranges in their own climates, checked in the tests',
  },
  household: { kind: 'household', short: 'our house', text: 'Set by this household' },
  judgement: { kind: 'memory', short: 'judgement', text: 'Our judgement, from memory; unsure' },
} as const
