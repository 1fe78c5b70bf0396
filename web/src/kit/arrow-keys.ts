const onward: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

/** On a radio group: the arrow keys choose the next one, round and round, as the role promises. */
export function stepThrough(event: KeyboardEvent): void {
  const step = onward[event.key]
  const group = event.currentTarget as HTMLElement
  const radios = [...group.querySelectorAll<HTMLElement>('[role=radio]')]
  const at = radios.indexOf(event.target as HTMLElement)
  if (step === undefined || at < 0) return
  event.preventDefault()
  const next = radios[(at + step + radios.length) % radios.length]!
  next.focus()
  next.click()
}
