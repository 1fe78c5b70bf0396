import type { InjectionKey, Ref } from 'vue'

/** What was refused, and of which field. */
export interface Refused {
  message: string
  field?: string | undefined
}
/** What is wrong with a field, in words; nothing where it is right. */
export type Rules<Model> = { [Name in keyof Model]?: (model: Model) => string | undefined }

export const refusedKey: InjectionKey<Ref<Refused | undefined>> = Symbol('what was refused of a form')
