import { driedForm, type Almanac, type Crop } from '../almanac'
import { lotHistory, type LotEvent, type LotHistory, type Stage } from '../lots'
import { unknownCrop } from '../almanac'

/** What is true of a lot from its first day on. */
export interface LotIdentity {
  id: string
  code: string
  crop: string
  heap: string
  fate: string
  variety: string | null
  bed: string | null
  broughtOn: string
}

/** A lot as it stands, by core's one fold over its events. */
export interface LotState extends LotIdentity {
  stage: Stage
  placeId: string | null
  weightG: number
  pieces: number | null
  /** has been in the dehydrator */
  dried: boolean
  history: LotHistory
  /** its crop as it is now: the dried form where the lot itself has been dried */
  cropData: Crop
  /** its crop as it grew */
  grown: Crop
}

/**
 * A crop of the household's almanac.
 * @throws Refusal `unknown-crop`
 */
export function cropIn(almanac: Almanac, id: string): Crop {
  const crop = almanac.byId.get(id)
  if (!crop) throw unknownCrop(id, almanac.crops)
  return crop
}

/** groups whose harvest is dried to a crisp where it hangs */
const driedOnTheLine = ['herb', 'fruiting']

const driedForms = new WeakMap<Crop, Crop>()

/** The dried form of a crop, the same object every time: what is worked out on it is kept with it. */
export function driedFormOf(crop: Crop): Crop {
  const made = driedForms.get(crop) ?? driedForm(crop)
  driedForms.set(crop, made)
  return made
}

/** Whether a lot is in the dried form of its crop: from the dehydrator, or dried on the string or in the bundle. */
export function isDried(history: LotHistory, grown: Crop): boolean {
  const driesOnTheLine = grown.curing?.clock === 'drying-power' && driedOnTheLine.includes(grown.group)
  return history.loads.length > 0 || (driesOnTheLine && history.storedAtMs !== null && history.hungAtMs !== null)
}

export const lotState = (
  identity: LotIdentity,
  events: readonly LotEvent[],
  almanac: Almanac,
  origin?: LotHistory,
): LotState => stateOf(identity, lotHistory(events, origin), almanac)

/** A lot by its history. */
export function stateOf(identity: LotIdentity, history: LotHistory, almanac: Almanac): LotState {
  const grown = cropIn(almanac, identity.crop)
  const dried = isDried(history, grown)
  return {
    ...identity,
    stage: history.stage,
    placeId: history.placeId,
    weightG: history.quantity.weightG,
    pieces: history.quantity.pieces,
    dried,
    history,
    grown,
    cropData: dried ? driedFormOf(grown) : grown,
  }
}
