import { sources, type Blanch, type Crop } from '../almanac'
import { term, told, listing, type Listing } from '../message'
import { Refusal, requireWithin } from '../refusal'

/** From this height water boils cool enough to want a minute more. @source USDA HG Bulletin 10; Colorado State (recalled) */
export const altitudeFromM = 1524
const altitudeAddsMinutes = 1

export interface BlanchAnswer {
  cut: string
  waterMinutes: number
  steamMinutes: number
  note: Listing
  source: string
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()
const stem = (word: string) => word.replace(/(ed|es|s)$/, '')

/** The row whose cut is meant: the same words, or the only or first one that has them all. */
function rowFor(crop: Crop, rows: Blanch[], cut: string | undefined): Blanch {
  if (cut === undefined) return rows[0]!
  const wanted = plain(cut).split(' ').map(stem)
  const found =
    rows.find((row) => plain(row.cut) === plain(cut)) ??
    rows.find((row) =>
      wanted.every((w) =>
        plain(row.cut)
          .split(' ')
          .map(stem)
          .some((own) => own.startsWith(w)),
      ),
    )
  if (found) return found
  if (rows.length === 1 && wanted.length === 0) return rows[0]!
  throw new Refusal(
    'unknown-cut',
    told('kitchen.blanchedAs', {
      crop: term(crop.name),
      cuts: listing(
        rows.map((row) => term(row.cut)),
        '; ',
      ),
    }),
    'cut',
  )
}

/**
 * How long to blanch before freezing. Where a table gives a range the longer end is taken: too short a blanch is worse
 * than none (NCHFP). Time counts from when the water boils again.
 * @param cut as the crop's file names it, or a word of it; the first when left out
 * @param altitudeM m above the sea
 * @throws Refusal `not-frozen`, `cook-instead`, `unknown-cut`, `out-of-range`
 */
export function blanch(crop: Crop, cut?: string, altitudeM = 0): BlanchAnswer {
  requireWithin(altitudeM, -430, 5000, 'altitudeM', 'm')
  const { freezing } = crop
  if (!freezing || (freezing.blanch.length === 0 && /^not frozen/i.test(freezing.prepare))) {
    throw new Refusal(
      'not-frozen',
      told('kitchen.freezesBadly', {
        crop: term(crop.name),
        known: freezing ? 'yes' : 'no',
        prepare: freezing && term(freezing.prepare),
      }),
      'crop',
    )
  }
  if (freezing.blanch.length === 0) {
    throw new Refusal(
      'cook-instead',
      told('kitchen.notBlanched', { crop: term(crop.name), prepare: term(freezing.prepare) }),
      'crop',
    )
  }
  const row = rowFor(crop, freezing.blanch, cut)
  const longer = (range: [number, number] | null) => range?.[1] ?? 0
  const water = longer(row.waterMinutes.value)
  const steam = longer(row.steamMinutes.value)
  const high = altitudeM >= altitudeFromM
  const add = high ? altitudeAddsMinutes : 0
  const range = row.waterMinutes.value
  const notes = [
    row.note && told('kitchen.tableNote', { note: term(row.note) }),
    range && range[0] !== range[1] && told('kitchen.longerEnd', { least: range[0], most: range[1] }),
    water === 0 && steam === 0 && told('kitchen.frozenRaw'),
    water === 0 && steam > 0 && told('kitchen.bySteamOnly'),
    water > 0 &&
      steam > 0 &&
      row.steamMinutes.source === 'nchfp' &&
      Math.abs(steam - water * 1.5) < 0.011 &&
      told('kitchen.steamTakesLonger'),
    high && water > 0 && told('kitchen.minuteForAltitude'),
    water > 0 && told('kitchen.boilingWater'),
  ]
  return {
    cut: row.cut,
    waterMinutes: water > 0 ? water + add : 0,
    // the rule is given for boiling water only
    steamMinutes: steam,
    note: listing(
      notes.filter((note) => note !== false),
      ' ',
    ),
    source: sources[row.waterMinutes.source].text,
  }
}
