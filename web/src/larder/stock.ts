import { sayFact } from '../voice'
import type { NewStockLine } from '@vadose/contract/larder'
import type { PlaceView } from '@vadose/contract/places'
import { readPadLine, type PadLine } from '@vadose/core/larder'
import { allCrops } from '../almanac'
import { say } from './say'

/** A line as it was read, and as it has been put right since. */
export interface StockDraft extends Omit<PadLine, 'doubts'> {
  key: number
  doubts: string[]
}

/** Kinds of place that suit a form, the best first. */
const suited: Record<PadLine['form'], readonly string[]> = {
  fresh: ['cellar', 'cool-room', 'shed'],
  frozen: ['freezer'],
  jarred: ['cool-room', 'cellar', 'room'],
  brined: ['fridge', 'cellar'],
  dried: ['cool-room', 'room'],
  cooked: ['fridge'],
}

/** The place a line most likely stands in: the one it names, the one that was chosen for all, or one that suits its form. */
function placeFor(line: PadLine, places: readonly PlaceView[], chosen: string | undefined): string | null {
  if (line.placeId) return line.placeId
  const kindOf = (id: string | undefined) => places.find((place) => place.id === id)?.kind
  const [wanted] = suited[line.form]
  // what is frozen is in a freezer, whatever shelf the pad lay on
  if (chosen && (line.form !== 'frozen' || kindOf(chosen) === 'freezer')) return chosen
  const found = suited[line.form].map((kind) => places.find((place) => place.kind === kind)).find(Boolean)
  return found?.id ?? (wanted === 'freezer' ? null : (places[0]?.id ?? null))
}

/** Lines of a pad, read one by one. */
export function readPad(
  text: string,
  places: readonly PlaceView[],
  chosen: string | undefined,
  today: string,
): StockDraft[] {
  return text.split('\n').flatMap((one, key) => {
    const line = readPadLine(one, { crops: allCrops(), places, today })
    if (!line) return []
    const placeId = placeFor(line, places, chosen)
    const doubts = line.doubts.map((doubt) => sayFact(doubt))
    return [
      {
        ...line,
        placeId,
        key,
        doubts: placeId === null ? [...doubts, say('whereIsItThereIs')] : doubts,
      },
    ]
  })
}

/** Whether a line says enough to be kept. */
export const isWhole = ({ pieces, weightG, placeId, name, crop }: StockDraft): boolean =>
  (pieces !== null || weightG !== null) && placeId !== null && (crop !== 'pantry' || name !== null)

/** A line as the server takes it. */
export const asStock = (line: StockDraft): NewStockLine => ({
  crop: line.crop,
  form: line.form,
  source: line.source,
  placeId: line.placeId!,
  on: line.on,
  ...(line.name ? { name: line.name.trim() } : {}),
  ...(line.unit ? { unit: line.unit } : {}),
  ...(line.pieces !== null ? { pieces: line.pieces } : {}),
  ...(line.weightG !== null ? { weightG: line.weightG } : {}),
  ...(line.size ? { size: line.size } : {}),
})
