import { actOnLot, type ActAnswer } from '@vadose/contract/lots'
import { ref } from 'vue'
import { newRequestId, type ApiError } from '../call'
import { refused } from '../households'
import { write } from '../view'

type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never
type Act = Without<import('@vadose/contract/lots').Act, 'requestId'>

/** Does something with a lot; keeps the refusal for the form to show. */
export function useAct() {
  const refusal = ref<ApiError>()
  const busy = ref(false)
  let pending: { key: string; id: string } | undefined

  /** @returns the answer, or undefined when it was refused (see `refusal`) */
  async function act(code: string, what: Act): Promise<ActAnswer | undefined> {
    if (busy.value) return undefined
    busy.value = true
    refusal.value = undefined
    // a second tap after a lost answer sends the same number: it happens once
    const key = JSON.stringify([code, what])
    if (pending?.key !== key) pending = { key, id: newRequestId() }
    try {
      const answer = await write(actOnLot, { params: { code }, body: { ...what, requestId: pending.id } })
      pending = undefined
      return answer
    } catch (error) {
      refusal.value = refused(error)
      if (refusal.value.code !== 'away') pending = undefined
      return undefined
    } finally {
      busy.value = false
    }
  }

  return { act, refusal, busy }
}
