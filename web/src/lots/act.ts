import type { Act } from '@vadose/contract/acts'
import { actOnLot, type ActAnswer } from '@vadose/contract/lots'
import { ref } from 'vue'
import type { ApiError, Content } from '../call'
import { refused } from '../households'
import { write } from '../view'
import { useLastAct } from './last-act'

type What = Content<Act>

/** Does something with a lot; keeps the refusal for the form to show. */
export function useAct() {
  const last = useLastAct()
  const refusal = ref<ApiError>()
  const busy = ref(false)

  /** @returns the answer, or undefined when it was refused (see `refusal`) */
  async function act(code: string, what: What): Promise<ActAnswer | undefined> {
    if (busy.value) return undefined
    busy.value = true
    refusal.value = undefined
    try {
      const answer = await write(actOnLot, { params: { code }, body: what })
      last.keep({ code: answer.lot.code, entry: answer.entry, says: answer.says })
      return answer
    } catch (error) {
      refusal.value = refused(error)
      return undefined
    } finally {
      busy.value = false
    }
  }

  return { act, refusal, busy }
}
