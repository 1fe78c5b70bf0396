import { readArrangement, type ArrangementAsked } from '@vadose/contract/stores'
import type { Arrangement } from '@vadose/core/arrange'
import { proxy, wrap } from 'comlink'
import { onBeforeUnmount, ref } from 'vue'
import { refused } from '../households'
import { ask } from '../view'
import type { Arranger } from './arrange.worker'
import { say } from './say'

export interface Arranged extends Arrangement {
  asked: ArrangementAsked
}

/** Looks for the best arrangement away from the page; can be left off at any time. */
export function useArranging() {
  const found = ref<Arranged>()
  const says = ref('')
  const failure = ref('')
  let worker: Worker | undefined
  function stop() {
    worker?.terminate()
    worker = undefined
    says.value = ''
  }
  onBeforeUnmount(stop)
  async function look() {
    stop()
    failure.value = ''
    found.value = undefined
    says.value = say('reckoningHowEachLotWould')
    const own = new Worker(new URL('./arrange.worker.ts', import.meta.url), { type: 'module' })
    worker = own
    try {
      const asked = await ask(readArrangement, {})
      if (worker !== own) return
      const arranger = wrap<Arranger>(own)
      const solved = await arranger.solve(
        asked.problem,
        proxy((what: string) => void (says.value = what)),
      )
      if (worker !== own) return
      if ('refusal' in solved) failure.value = solved.refusal
      else found.value = { ...solved.arrangement, asked }
    } catch (error) {
      if (worker === own) failure.value = refused(error).message
    }
    if (worker === own) stop()
  }
  return { found, says, failure, look, stop }
}
