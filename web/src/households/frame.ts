import type { Frame, HouseholdSummary, MoveClock } from '@vadose/contract/households'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, watch } from 'vue'
import type { AlmanacChanges } from '@vadose/core/almanac'
import { ApiError, get, post } from '../api'
import { useChanges } from '../almanac'
import { useUnits } from './words'

/** A server that did not answer is asked again after so long, ms. */
const askAgainMs = 4000

/** Who, when and the year: shared by every screen. `tick` rises whenever something was written. */
export const useFrame = defineStore('frame', () => {
  const frame = ref<Frame>()
  const failure = ref<string>()
  const noHousehold = ref(false)
  const moving = ref(false)
  const tick = ref(0)
  const asked = ref(false)
  let again: ReturnType<typeof setTimeout> | undefined

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
      clearTimeout(again)
      if (error instanceof ApiError && error.code === 'away') again = setTimeout(() => void load(), askAgainMs)
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

/**
 * Loads a screen's data now and after every write; keeps the last answer while reading anew, and asks again by itself
 * while the server does not answer.
 */
export function useAnswer<T>(path: () => string | null) {
  const frame = useFrame()
  const answer = ref<T>()
  const failure = ref<string>()
  let asked = 0
  let again: ReturnType<typeof setTimeout> | undefined
  async function ask(): Promise<void> {
    clearTimeout(again)
    const mine = ++asked
    const to = path()
    if (to === null) {
      answer.value = undefined
      return
    }
    try {
      const got = await get<T>(to)
      if (mine !== asked) return
      answer.value = got
      failure.value = undefined
    } catch (error) {
      if (mine !== asked) return
      failure.value = error instanceof Error ? error.message : String(error)
      if (error instanceof ApiError && error.code === 'away') again = setTimeout(() => void ask(), askAgainMs)
    }
  }
  watch([path, () => frame.tick], ask, { immediate: true })
  onScopeDispose(() => {
    asked++
    clearTimeout(again)
  })
  return { answer, failure }
}
