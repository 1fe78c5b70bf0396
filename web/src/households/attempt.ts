import { computed, ref } from 'vue'
import type { ApiError } from '../call'
import { refused } from './refused'

/** Something that is written once at a time; keeps what was refused for the form to show. */
export function useAttempt() {
  const refusal = ref<ApiError>()
  const failure = computed(() => refusal.value?.message ?? '')
  const busy = ref(false)
  /** @returns whether it was done */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
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
  return { attempt, failure, refusal, busy }
}
