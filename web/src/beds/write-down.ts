import { addBedEntry, strikeBedEntry, type NewBedEntry, type StandView } from '@vadose/contract/beds'
import { ref } from 'vue'
import type { ApiError, Content } from '../call'
import { refused } from '../households'
import { write } from '../view'

/** What a look is at. */
export type AtBed = Pick<StandView, 'crop' | 'variety' | 'bed' | 'growsIn'>
/** What was seen or done there. */
export type Seen = Pick<Content<NewBedEntry>, 'what' | 'value' | 'pieces' | 'on'>

/** Writes down what was seen at a bed; keeps the refusal for the form to show. */
export function useWriteDown() {
  const refusal = ref<ApiError>()
  const busy = ref(false)

  async function tried(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    refusal.value = undefined
    try {
      await work()
      return true
    } catch (error) {
      refusal.value = refused(error)
      return false
    } finally {
      busy.value = false
    }
  }
  const writeDown = ({ crop, variety, bed, growsIn }: AtBed, seen: Seen) =>
    tried(() => write(addBedEntry, { body: { crop, bed, growsIn, ...(variety ? { variety } : {}), ...seen } }))
  const strike = (id: string) => tried(() => write(strikeBedEntry, { params: { id }, body: { struck: true } }))

  return { writeDown, strike, refusal, busy }
}
