import { units, type Form, type Unit } from '../almanac'
import { standing, type LotEvent } from '../lots'

/** A dish as it was made the last time. */
export interface Recipe {
  name: string
  form: Exclude<Form, 'fresh'>
  unit: Unit
  pieces: number
  weightG: number
  wasteG: number
  /** what went in of the household's own, by crop */
  takes: { crop: string; weightG: number }[]
  adds: { name: string; weightG: number }[]
  prepared: string | null
  madeOn: string
  times: number
}

/** A lot that was made, with its ledger. */
export interface MadeLot {
  broughtOn: string
  events: readonly LotEvent[]
}

/**
 * The household's own dishes, by what was made before: each as it was the last time.
 * @param cropOf the crop of a lot that something was taken from
 */
export function recipesFrom(lots: readonly MadeLot[], cropOf: (code: string) => string | undefined): Recipe[] {
  const byName = new Map<string, Recipe>()
  for (const { broughtOn, events } of [...lots].sort((a, b) => (a.broughtOn < b.broughtOn ? -1 : 1))) {
    const told = standing(events)
    const at = told.findIndex((e) => e.kind === 'made')
    const made = told[at]
    const { name, form, unit, counted } = made?.details ?? {}
    if (!made || !name || !form || form === 'fresh' || !unit) continue
    const takes = new Map<string, number>()
    const adds: Recipe['adds'] = []
    for (const { kind, weightG, details } of told.slice(0, at)) {
      const crop = kind === 'split-in' && details.code ? cropOf(details.code) : undefined
      if (crop) takes.set(crop, (takes.get(crop) ?? 0) + weightG)
      // what was bought as it is, is no dish
      if (kind === 'added' && !details.source) adds.push({ name: details.text ?? '', weightG })
    }
    if (takes.size + adds.length === 0) continue
    const key = name.toLowerCase()
    byName.set(key, {
      name,
      form,
      unit,
      pieces: counted ?? made.pieces,
      weightG: made.details.scaleG ?? 0,
      wasteG: made.details.wasteG ?? 0,
      takes: [...takes].map(([crop, weightG]) => ({ crop, weightG })),
      adds,
      prepared: made.details.prepared ?? null,
      madeOn: broughtOn,
      times: (byName.get(key)?.times ?? 0) + 1,
    })
  }
  return [...byName.values()].sort((a, b) => (a.madeOn > b.madeOn ? -1 : 1))
}

/** How much of a dish there is enough for: by what there is least of against what went in the last time. */
export function scaleOf(recipe: Recipe, hereG: ReadonlyMap<string, number>): { times: number; short: string | null } {
  let times = Infinity
  let short: string | null = null
  for (const { crop, weightG } of recipe.takes) {
    const own = (hereG.get(crop) ?? 0) / weightG
    if (own < times) [times, short] = [own, crop]
  }
  return Number.isFinite(times) ? { times, short } : { times: 1, short: null }
}

/** What a dish makes so many times over, to a whole unit. */
export const yieldOf = ({ pieces, unit }: Recipe, times: number): string => {
  const n = Math.max(1, Math.round(pieces * times))
  return `${n} ${n === 1 ? unit : units[unit]}`
}
