import type { Frame, HouseholdSummary, MoveClock } from '@vadose/contract/household'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { AlmanacChanges } from '@vadose/core/crops'
import { get, post } from '../api'
import { useChanges } from '../crops'
import { useUnits } from './words'

/** Who, when and the year: shared by every screen. `tick` rises whenever something was written. */
export const useFrame = defineStore('frame', () => {
  const frame = ref<Frame>()
  const failure = ref<string>()
  const noHousehold = ref(false)
  const moving = ref(false)
  const tick = ref(0)
  const asked = ref(false)

  async function load(): Promise<void> {
    try {
      if (!frame.value && (await get<HouseholdSummary[]>('/households')).length === 0) {
        noHousehold.value = true
        return
      }
      const [next, changes] = await Promise.all([get<Frame>('/frame'), get<AlmanacChanges>('/almanac')])
      useUnits(next.household.units)
      useChanges(changes)
      frame.value = next
      failure.value = undefined
      noHousehold.value = false
    } catch (error) {
      failure.value = error instanceof Error ? error.message : String(error)
    } finally {
      asked.value = true
    }
  }

  /** Something was written: every open screen reads anew. */
  async function changed(): Promise<void> {
    await load()
    tick.value++
  }

  async function moveClock(to: MoveClock['to']): Promise<void> {
    moving.value = true
    try {
      frame.value = await post<Frame>('/clock', { to } satisfies MoveClock)
      tick.value++
    } finally {
      moving.value = false
    }
  }

  return {
    frame,
    failure,
    noHousehold,
    moving,
    tick,
    asked,
    today: computed(() => frame.value?.today ?? ''),
    load,
    changed,
    moveClock,
  }
})

/** Loads a screen's data now and after every write; keeps the last answer while reading anew. */
export function useAnswer<T>(path: () => string | null) {
  const frame = useFrame()
  const answer = ref<T>()
  const failure = ref<string>()
  let asked = 0
  watch(
    [path, () => frame.tick],
    async () => {
      const mine = ++asked
      const to = path()
      if (to === null) {
        answer.value = undefined
        return
      }
      try {
        const got = await get<T>(to)
        if (mine === asked) {
          answer.value = got
          failure.value = undefined
        }
      } catch (error) {
        if (mine === asked) failure.value = error instanceof Error ? error.message : String(error)
      }
    },
    { immediate: true },
  )
  return { answer, failure }
}
