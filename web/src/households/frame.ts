import { passTime, readFrame, type Frame, type MoveClock } from '@vadose/contract/households'
import { readAlmanac } from '@vadose/contract/almanac'
import type { AlmanacChanges } from '@vadose/core/almanac'
import { civilDateOf } from '@vadose/core/households'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { useChanges } from '../almanac'
import { householdHere } from '../call'
import { afterWrites, useView, write } from '../view'
import { useLanguage, useToday, useUnits } from '../voice'
import { useSeason } from './words'

/** Who, when and the year: shared by every screen. */
export const useFrame = defineStore('frame', () => {
  const here = () => (householdHere ? {} : null)
  const { answer: told, failure, code } = useView(readFrame, here)
  const { answer: changes } = useView(readAlmanac, here)
  const moving = ref(false)
  // no screen is drawn before the household's units and its almanac are known
  const frame = computed<Frame | undefined>(() => (changes.value ? told.value : undefined))

  watch(changes, (next) => next && useChanges(next as unknown as AlmanacChanges), { immediate: true, flush: 'sync' })
  watch(
    told,
    (next) => {
      if (!next) return
      useUnits(next.household.units)
      useToday(next.today)
      useLanguage(next.household.language)
      useSeason(next.year)
    },
    { immediate: true, flush: 'sync' },
  )

  async function moveClock(to: MoveClock['to']): Promise<void> {
    moving.value = true
    try {
      // a tap on “Next morning” right after another is not to carry that one into the morning
      await afterWrites()
      await write(passTime, { body: { to } })
    } finally {
      moving.value = false
    }
  }

  return {
    frame,
    failure,
    /** the household named in the address is not here (any more) */
    unknown: computed(() => code.value === 'no-such-household'),
    moving,
    today: computed(() => frame.value?.today ?? ''),
    /** day of the household's calendar an instant falls on */
    dayOf: (iso: string) => civilDateOf(Date.parse(iso), frame.value?.household.timeZone ?? 'UTC'),
    moveClock,
  }
})
