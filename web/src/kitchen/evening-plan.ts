import type { AlmanacChanges } from '@vadose/core/almanac'
import { wrap, type Remote } from 'comlink'
import type { Message } from '@vadose/core/message'
import { computed, onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import { currentAlmanac } from '../almanac'
import { sayFact } from '../voice'
import type { EveningAsked, Planned, Planner } from './evening.worker'

/** A worker takes plain values, none that Vue watches. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/**
 * Plans evenings away from the page, again whenever what is asked changes.
 * @param asked null while nothing is laid out
 */
export function usePlan(asked: Ref<Omit<EveningAsked, 'changes'> | null>) {
  const worker = new Worker(new URL('./evening.worker.ts', import.meta.url), { type: 'module' })
  const planner: Remote<Planner> = wrap<Planner>(worker)
  onBeforeUnmount(() => worker.terminate())
  const planned = ref<Exclude<Planned, { refusal: Message }>>()
  const refused = shallowRef<Message>()
  let latest = 0
  watch(
    asked,
    async (now) => {
      const own = ++latest
      if (now === null) {
        planned.value = undefined
        return
      }
      const answer = await planner.plan(plain({ ...now, changes: currentAlmanac().changes as AlmanacChanges }))
      // an answer to what was asked before is late
      if (own !== latest) return
      refused.value = 'refusal' in answer ? answer.refusal : undefined
      planned.value = 'refusal' in answer ? undefined : answer
    },
    { immediate: true },
  )
  const refusal = computed(() => (refused.value ? sayFact(refused.value) : ''))
  return { planned, refusal }
}
