import type { Crop } from './crop'
import { driedForm } from './dried'
import { frozenForm } from './frozen'

/** What a crop has been made into: never another crop, so that it is known where it came from. */
export const forms = ['fresh', 'dried', 'frozen'] as const
export type Form = (typeof forms)[number]

const made = { dried: new WeakMap<Crop, Crop>(), frozen: new WeakMap<Crop, Crop>() }
const make = { dried: driedForm, frozen: frozenForm }

/** A crop in a form, the same object every time: what is worked out on it is kept with it. */
export function inForm(crop: Crop, form: Form): Crop {
  if (form === 'fresh') return crop
  const known = made[form].get(crop) ?? make[form](crop)
  made[form].set(crop, known)
  return known
}
