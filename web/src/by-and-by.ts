import { ref, watch, type Ref } from 'vue'

/** Lets the browser do what waits: taps, what is drawn. */
export const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))

/**
 * How many of a long list are shown: a few at once, then one, with which what they are all made of is run for the first
 * time, the others a few at a time, so that no stretch of drawing holds up a tap. Once all have been shown, all are.
 */
export function useByAndBy(length: Ref<number>, first: number, step = first): Ref<number> {
  const shown = ref(first)
  const more = async () => {
    let next = 1
    while (shown.value < length.value) {
      await breath()
      shown.value += next
      next = step
    }
    shown.value = Infinity
  }
  const stop = watch(
    length,
    (now) => {
      if (now === 0) return
      stop()
      void more()
    },
    { flush: 'post' },
  )
  if (length.value > 0) {
    stop()
    void more()
  }
  return shown
}
