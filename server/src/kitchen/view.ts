import type { MadeOf, RecipeView } from '@vadose/contract/kitchen'
import type { House } from '@vadose/core/forecast'
import { cropIn } from '@vadose/core/forecast'
import { recipesFrom, scaleOf, yieldOf } from '@vadose/core/kitchen'
import { standing, type LotEvent } from '@vadose/core/lots'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Client } from '../database'
import { eventsOfLots, type EventOfLot } from '../projections'
import { cropsOfCodes, lotsByCodes, madeLots, type PartRow } from './queries'

/** What of a crop there is to cook with: as it grew, in store or waiting. */
function hereByCrop(house: House): Map<string, number> {
  const here = new Map<string, number>()
  for (const { crop, form, stage, fate, weightG } of house.lots) {
    if (form !== 'fresh' || fate === 'plant' || !['stored', 'fresh', 'drying'].includes(stage)) continue
    here.set(crop, (here.get(crop) ?? 0) + weightG)
  }
  return here
}

export async function recipesOf(db: Client, householdId: string, house: House): Promise<RecipeView[]> {
  const lots = await madeLots(db, householdId)
  const events = new Map<string, EventOfLot[]>()
  const ids = lots.map(({ id }) => id)
  for (const event of await eventsOfLots(db, householdId, ids)) {
    events.set(event.lotId, [...(events.get(event.lotId) ?? []), event])
  }
  const codes = [...events.values()].flat().flatMap(({ details }) => (details.code ? [details.code] : []))
  const crops = await cropsOfCodes(db, householdId, [...new Set(codes)])
  const made = lots.map(({ id, broughtOn }) => ({ broughtOn, events: events.get(id) ?? [] }))
  const here = hereByCrop(house)
  return recipesFrom(made, (code) => crops.get(code)).map((recipe) => {
    const { times, short } = scaleOf(recipe, here)
    return { ...recipe, enoughFor: Math.round(times * 100) / 100, short, makes: yieldOf(recipe, Math.max(times, 0)) }
  })
}

/** so far back a dish of a dish of a dish is followed */
const mostDepth = 6

/** What went into a lot, depth first, back to the beds. */
export async function madeOf(db: Client, householdId: string, house: House, code: string): Promise<MadeOf> {
  const [start] = await lotsByCodes(db, householdId, [code])
  if (!start) throw new Refusal('not-found', told('lots.noLot', { code }))
  const parts: MadeOf['parts'] = []
  const seen = new Set<string>([code])
  const follow = async (lot: PartRow, depth: number): Promise<void> => {
    if (depth > mostDepth) return
    const events: LotEvent[] = standing(await eventsOfLots(db, householdId, [lot.id]))
    const shares = events.filter(({ kind, details }) => kind === 'split-in' || (kind === 'added' && !details.source))
    const from = new Map(
      (
        await lotsByCodes(
          db,
          householdId,
          shares.flatMap(({ details }) => details.code ?? []),
        )
      ).map((one) => [one.code, one]),
    )
    for (const { kind, weightG, details } of shares) {
      const part = details.code ? from.get(details.code) : undefined
      parts.push({
        code: part?.code ?? null,
        name: part ? (part.name ?? cropIn(house.almanac, part.crop).name) : (details.text ?? kind),
        crop: part?.crop ?? null,
        form: (part?.form as MadeOf['parts'][number]['form']) ?? null,
        variety: part?.variety ?? null,
        bed: part?.bed ?? null,
        broughtOn: part?.broughtOn ?? null,
        weightG,
        depth,
      })
      if (!part || seen.has(part.code)) continue
      seen.add(part.code)
      await follow(part, depth + 1)
    }
  }
  await follow(start, 0)
  return { parts }
}
