import {
  relabel,
  restateEntry,
  strikeEntry,
  strikeHarvest,
  type Correction,
  type PutRight,
  type Restatement,
} from '@vadose/contract/put-right'
import { ref } from 'vue'
import type { ApiError } from '../call'
import { refused } from '../households'
import { write } from '../view'
import { useLastAct } from './last-act'

/** Puts a lot's record right; keeps the refusal for the form to show. What was put right can itself be undone. */
export function usePutRight() {
  const last = useLastAct()
  const refusal = ref<ApiError>()
  const busy = ref(false)

  async function attempt(code: string, work: () => Promise<PutRight>): Promise<PutRight | undefined> {
    if (busy.value) return undefined
    busy.value = true
    refusal.value = undefined
    try {
      const answer = await work()
      last.keep({ code, entry: answer.entry, says: answer.says })
      return answer
    } catch (error) {
      refusal.value = refused(error)
      return undefined
    } finally {
      busy.value = false
    }
  }
  const params = (code: string) => ({ code })
  return {
    refusal,
    busy,
    strike: (code: string, event: number, why: string) =>
      attempt(code, () => write(strikeEntry, { params: params(code), body: { event, why } })),
    restate: (code: string, event: number, why: string, what: Restatement) =>
      attempt(code, () => write(restateEntry, { params: params(code), body: { event, why, ...what } })),
    relabel: (code: string, what: Correction) =>
      attempt(code, () => write(relabel, { params: params(code), body: what })),
    strikeHarvest: (code: string, why: string) =>
      attempt(code, () => write(strikeHarvest, { params: params(code), body: { why } })),
  }
}
