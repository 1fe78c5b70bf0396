import type { Crop } from './crop'
import { driedForm } from './dried'
import { frozenForm } from './frozen'
import { brinedForm, cookedForm, jarredForm } from './put-by'

/** What a crop has been made into: never another crop, so that it is known where it came from. */
export const forms = ['fresh', 'dried', 'frozen', 'jarred', 'brined', 'cooked'] as const
export type Form = (typeof forms)[number]

const make: Record<Exclude<Form, 'fresh'>, (crop: Crop) => Crop> = {
  dried: driedForm,
  frozen: frozenForm,
  jarred: jarredForm,
  brined: brinedForm,
  cooked: cookedForm,
}
const made = new Map(Object.keys(make).map((form) => [form, new WeakMap<Crop, Crop>()]))

/** A crop in a form, the same object every time: what is worked out on it is kept with it. */
export function inForm(crop: Crop, form: Form): Crop {
  if (form === 'fresh') return crop
  const ofForm = made.get(form)!
  const known = ofForm.get(crop) ?? make[form](crop)
  ofForm.set(crop, known)
  return known
}
