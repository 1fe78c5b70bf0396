import type { Crop, CropGroup } from '../almanac'
import { askedAboveKg, pickShare } from '../assumptions'
import { term, told } from '../message'
import { Refusal } from '../refusal'

/**
 * A weight that no garden brings in at once is asked about, by crop, before it is kept.
 * @param picked the day's pick, which is smaller than a harvest
 * @throws Refusal `surprise`, which may be kept all the same
 */
export function requireUsualSize(
  crop: Pick<Crop, 'group' | 'plural'>,
  weightG: number,
  picked: boolean,
  field: string,
): void {
  const mostKg = askedAboveKg[crop.group satisfies CropGroup] * (picked ? pickShare : 1)
  if (weightG <= 1000 * mostKg) return
  const said = weightG >= 1e6 ? `${Math.round(weightG / 1e5) / 10} t` : `${Math.round(weightG / 1000)} kg`
  throw new Refusal('surprise', told('intake.strangeSize', { said, crop: term(crop.plural) }), field)
}
