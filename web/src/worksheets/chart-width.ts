import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'

/** Units across a chart whose figure has ref="frame": fewer where it is shown narrow, so that its words stay legible. */
export function useChartWidth(wide = 620, narrow = 360) {
  const frame = useTemplateRef<HTMLElement>('frame')
  const { width } = useElementSize(frame)
  const isNarrow = computed(() => width.value > 0 && width.value < 460)
  return { isNarrow, width: computed(() => (isNarrow.value ? narrow : wide)) }
}
