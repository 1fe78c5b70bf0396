import { nextTick, type Ref } from 'vue'

/** Brings what a choice has changed into view where it lies beyond the screen, as on a phone; else nothing moves. */
export async function bringIntoView(part: Ref<HTMLElement | undefined>): Promise<void> {
  await nextTick()
  part.value?.scrollIntoView({ block: 'nearest' })
}
