import type { CalculatorName } from '@vadose/core/worksheets'
import { proxy, wrap, type Remote } from 'comlink'
import { onBeforeUnmount, ref, shallowRef } from 'vue'
import { currentAlmanac } from '../almanac'
import { languageHere, unitsHere } from '../voice'
import type { Bench, WorksheetResult } from './bench.worker'
import { say } from './say'

/** Runs worksheets in a worker of their own: the page stays free, progress is told, and a run can be called off. */
export function useBench() {
  const result = shallowRef<WorksheetResult>()
  const failure = ref<string>()
  const running = ref(false)
  const progress = ref(0)
  let worker: Worker | undefined
  let bench: Remote<Bench> | undefined
  let turn = 0

  function begin(): Remote<Bench> {
    worker ??= new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' })
    bench ??= wrap<Bench>(worker)
    return bench
  }

  function cancel(): void {
    turn++
    worker?.terminate()
    worker = undefined
    bench = undefined
    running.value = false
  }

  async function run(name: CalculatorName, input: unknown): Promise<void> {
    // a newer question makes the older one pointless
    if (running.value) cancel()
    const mine = ++turn
    running.value = true
    progress.value = 0
    failure.value = undefined
    try {
      // what is typed is reactive; the worker wants plain data
      const plain = JSON.parse(JSON.stringify(input)) as unknown
      const changes = JSON.parse(JSON.stringify(currentAlmanac().changes))
      const answer = await begin().run(
        name,
        plain,
        changes,
        { language: languageHere(), units: unitsHere() },
        proxy((share: number) => (progress.value = share)),
      )
      if (mine === turn) result.value = answer
    } catch (error) {
      if (mine === turn) failure.value = say('theWorkerFailed', { error: String(error) })
    } finally {
      if (mine === turn) running.value = false
    }
  }

  onBeforeUnmount(cancel)
  return { result, failure, running, progress, run, cancel }
}
