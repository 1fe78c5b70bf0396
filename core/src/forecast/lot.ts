import { asGoods, type Almanac, type Crop, type Form, type Goods } from '../almanac'
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
  /** what it has been made into */
  form: Form
  history: LotHistory
  /** its crop as it is now: in the form the lot itself is in */
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

/** The form of its crop a lot is in: bagged in the freezer, from the dehydrator, or dried on the string or in the bundle. */
export function formOf(history: LotHistory, grown: Crop): Form {
  if (history.frozen) return 'frozen'
  if (history.made) return history.made.form
  const driesOnTheLine = grown.curing?.clock === 'drying-power' && driedOnTheLine.includes(grown.group)
  const dried = history.loads.length > 0 || (driesOnTheLine && history.storedAtMs !== null && history.hungAtMs !== null)
  return dried ? 'dried' : 'fresh'
}

/** What a lot's own entries say of it besides its crop and form. */
const goodsOf = ({ named, unit, lifeDays, made }: LotHistory): Goods => ({
  name: named,
  unit,
  lifeDays,
  dish: made?.dish ?? false,
})

/** A lot's crop as it is now: in its form, as it is called and counted. */
export const cropNow = (history: LotHistory, grown: Crop): Crop =>
  asGoods(grown, formOf(history, grown), goodsOf(history))

export const lotState = (
  identity: LotIdentity,
  events: readonly LotEvent[],
  almanac: Almanac,
  origin?: LotHistory,
): LotState => stateOf(identity, lotHistory(events, origin), almanac)

/** A lot by its history. */
export function stateOf(identity: LotIdentity, history: LotHistory, almanac: Almanac): LotState {
  const grown = cropIn(almanac, identity.crop)
  const form = formOf(history, grown)
  return {
    ...identity,
    stage: history.stage,
    placeId: history.placeId,
    weightG: history.quantity.weightG,
    pieces: history.quantity.pieces,
    form,
    history,
    grown,
    cropData: cropNow(history, grown),
  }
}

/**
 * Which lots of a list are others than in an earlier one that stands for the same, place by place: after a write, few.
 * @returns pairs of a lot as it was and as it is; undefined where more than that is another
 */
export function othersOf(was: readonly LotState[], now: readonly LotState[]): [LotState, LotState][] | undefined {
  if (was.length !== now.length) return undefined
  const others: [LotState, LotState][] = []
  for (let i = 0; i < now.length; i++) {
    if (was[i] === now[i]) continue
    if (was[i]!.id !== now[i]!.id) return undefined
    others.push([was[i]!, now[i]!])
  }
  return others
}
