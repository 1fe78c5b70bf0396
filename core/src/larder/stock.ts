import { asGoods, inForm, unitG, type Crop, type Form, type Origin, type Unit } from '../almanac'
import { draft, type EventDraft } from '../lots'
import { term, told } from '../message'
import { Refusal } from '../refusal'

/** A line of the shelf as it is found there, bought, or made elsewhere. */
export interface StockLine {
  /** what it is called, where it is not simply its crop */
  name: string | null
  form: Form
  source: Origin
  unit: Unit | null
  pieces: number | null
  /** of all of it; worked out from the count where left out */
  weightG: number | null
  /** how much one holds: “0.5 L” */
  size: string | null
  placeId: string
  prepared: string | null
  /** the tested recipe it was made by, and how it was processed */
  recipe: string | null
  processed: string | null
  /** good for so many days from the day it was made */
  lifeDays: number | null
  tasteAfterDays: number | null
}

/** Grams in a size as it stands on a label: “0.5 L”, “500 ml”, “1 kg”, “pint”; undefined for what is none. */
export function gramsOfSize(size: string): number | undefined {
  const text = size.trim().toLowerCase().replace(',', '.')
  const jars: Record<string, number> = { 'half-pint': 237, 'half pint': 237, pint: 473, quart: 946 }
  if (jars[text]) return jars[text]
  const [, amount, unit] = /^(\d+(?:\.\d+)?)\s*(ml|cl|dl|l|g|kg|oz|lb)$/.exec(text) ?? []
  if (!amount || !unit) return undefined
  const per = { ml: 1, cl: 10, dl: 100, l: 1000, g: 1, kg: 1000, oz: 28.35, lb: 453.6 }[unit]!
  return Math.round(Number(amount) * per) || undefined
}

/** What a line weighs where nobody weighed it: by what one holds, or by what one usually is. */
export function usualWeightG(crop: Crop, { form, unit, pieces, size, name, lifeDays }: StockLine): number {
  const held = size ? gramsOfSize(size) : undefined
  const usual = unit ? unitG[unit] : asGoods(crop, form, { name, unit, lifeDays, dish: false }).pieceG.value
  return Math.max(1, Math.round((held ?? usual) * (pieces ?? 1)))
}

/**
 * First entries of a lot that was not brought in from the garden here, but stands on the shelf.
 * @throws Refusal `invalid` where it says neither how many nor how much
 */
export function stockEvents(crop: Crop, line: StockLine, field = 'lines/0'): EventDraft[] {
  const { form, unit, pieces, placeId, source } = line
  if (pieces === null && line.weightG === null) {
    throw new Refusal('invalid', told('larder.howMuchThere'), `${field}/pieces`)
  }
  if (form !== 'fresh' && inForm(crop, form) === crop && form !== 'dried') {
    throw new Refusal('invalid', told('larder.notKeptSo', { crop: term(crop.name) }), `${field}/form`)
  }
  const weightG = line.weightG ?? usualWeightG(crop, line)
  const guessed = line.weightG === null ? { guessed: 'weight' as const } : {}
  const named = {
    ...(line.name ? { name: line.name } : {}),
    ...(unit ? { unit } : {}),
    ...(line.size ? { size: line.size } : {}),
    ...(line.lifeDays ? { lifeDays: line.lifeDays } : {}),
  }
  const first = draft('added', { weightG, pieces: pieces ?? 0, placeId, details: { source, ...named, ...guessed } })
  if (form === 'fresh') {
    return [first, draft('finished', { placeId, details: { pack: packOf(crop, unit) } })]
  }
  const made = draft('made', {
    placeId,
    details: {
      form,
      ...named,
      ...(pieces ? { counted: pieces } : {}),
      ...(line.prepared ? { prepared: line.prepared } : {}),
      ...(line.recipe ? { recipe: line.recipe } : {}),
      ...(line.processed ? { processed: line.processed } : {}),
      ...(line.tasteAfterDays ? { tasteAfterDays: line.tasteAfterDays } : {}),
    },
  })
  return [first, made]
}

/** What it lies in, by what it is counted in, where its crop is packed so; its usual packing otherwise. */
const packOf = (crop: Crop, unit: Unit | null): string => {
  const wanted = unit === 'crate' ? 'box' : unit
  return crop.packs.find(({ id }) => id === wanted)?.id ?? crop.packs[0]?.id ?? 'box'
}
