import type { ActAnswer, ActName } from '@vadose/contract/lots'
import { ref } from 'vue'
import { newRequestId, post, type ApiError } from '../api'
import { refused, useFrame } from '../households'

type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never
type Act = Without<import('@vadose/contract/lots').Act, 'requestId'>

/** Does something with a lot and lets every screen read anew; keeps the refusal for the form to show. */
export function useAct() {
  const frame = useFrame()
  const refusal = ref<ApiError>()
  const busy = ref(false)
  let pending: { key: string; id: string } | undefined

  /** @returns the answer, or undefined when it was refused (see `refusal`) */
  async function act(code: string, what: Act & { act: ActName }): Promise<ActAnswer | undefined> {
    if (busy.value) return undefined
    busy.value = true
    refusal.value = undefined
    // a second tap after a lost answer sends the same number: it happens once
    const key = JSON.stringify([code, what])
    if (pending?.key !== key) pending = { key, id: newRequestId() }
    try {
      const answer = await post<ActAnswer>(`/lots/${code}/acts`, { ...what, requestId: pending.id })
      pending = undefined
      await frame.changed()
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
