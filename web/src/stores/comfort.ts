import { monthOf } from '../households'
import { say } from './say'
import { sayWord } from '../voice'

/** “well to Dec, then will do”: a row of months in words. */
export function comfortWords(comforts: readonly string[], months: readonly { month: string }[]): string {
  const runs: { kind: string; last: number }[] = []
  comforts.forEach((kind, i) => {
    const run = runs.at(-1)
    if (run?.kind === kind) run.last = i
    else runs.push({ kind, last: i })
  })
  const [first, next] = runs
  if (!first) return ''
  return next
    ? say('toThen', {
        kind: sayWord(first.kind),
        monthOf: monthOf(`${months[first.last]!.month}-15`),
        kind2: sayWord(next.kind),
      })
    : say('allYear', { kind: sayWord(first.kind) })
}
