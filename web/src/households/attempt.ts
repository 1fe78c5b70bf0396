import { ref } from 'vue'
import { refused } from './refused'

/** Something that is written once at a time; keeps what was refused for the form to show. */
export function useAttempt() {
  const failure = ref('')
  const busy = ref(false)
  /** @returns whether it was done */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    failure.value = ''
    try {
      await work()
      return true
    } catch (error) {
      failure.value = refused(error).message
      return false
    } finally {
      busy.value = false
    }
  }
  return { attempt, failure, busy }
}
