import { undoAct } from '@vadose/contract/lots'
import type { Told } from '@vadose/contract/shapes'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { ApiError } from '../call'
import { refused } from '../households'
import { write } from '../view'

/** How long the last act can be undone in one tap, ms. */
const offeredForMs = 10 * 60_000

/** An act as it was kept: its lot, the number of its last entry, and what that says. */
interface Kept {
  code: string
  entry: number
  /** what was kept, or a sentence of the page's own */
  says: Told | string
}

/** The last thing done to a lot in this page, for as long as it can be undone in one tap. */
export const useLastAct = defineStore('last-act', () => {
  const kept = ref<Kept>()
  const undone = ref<Kept>()
  const refusal = ref<ApiError>()
  const busy = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined

  function forget() {
    clearTimeout(timer)
    kept.value = undone.value = refusal.value = undefined
  }
  function keep(act: Kept) {
    forget()
    kept.value = act
    timer = setTimeout(forget, offeredForMs)
  }
  async function undo() {
    const act = kept.value
    if (!act || busy.value) return
    busy.value = true
    try {
      await write(undoAct, { params: { code: act.code }, body: { event: act.entry } })
      forget()
      undone.value = act
    } catch (error) {
      refusal.value = refused(error)
    } finally {
      busy.value = false
    }
  }
  return { kept, undone, refusal, busy, there: computed(() => kept.value ?? undone.value), keep, undo, forget }
})
