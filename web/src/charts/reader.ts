import { bisector } from 'd3-array'
import { computed, ref, watch } from 'vue'

/** Index of the point nearest to x; points rise in x. -1 where there are none. */
export const nearest = <T>(points: readonly T[], xOf: (point: T) => number, x: number): number =>
  points.length === 0 ? -1 : bisector(xOf).center(points, x)

interface Read<T> {
  points: () => readonly T[]
  /** where a point stands, in the chart's own units across */
  xOf: (point: T) => number
  /** the chart's own units across */
  width: () => number
  /** index the arrow keys begin from; the first point where left out */
  from?: () => number
  /** points an arrow key goes */
  stride?: number
}

/** Reads a chart out where the mouse is, or by arrow keys: bind `listeners` to its svg and show what stands at `at`. */
export function useReader<T>({ points, xOf, width, from = () => -1, stride = 1 }: Read<T>) {
  const index = ref(-1)
  watch(points, () => (index.value = -1))
  const listeners = {
    mousemove(event: MouseEvent) {
      const box = (event.currentTarget as SVGElement).getBoundingClientRect()
      index.value = nearest(points(), xOf, ((event.clientX - box.left) / box.width) * width())
    },
    mouseleave() {
      index.value = -1
    },
    keydown(event: KeyboardEvent) {
      const move = { ArrowRight: stride, ArrowLeft: -stride }[event.key]
      if (!move || points().length === 0) return
      event.preventDefault()
      const now = index.value < 0 ? from() : index.value
      index.value = Math.min(points().length - 1, Math.max(0, now + move))
    },
  }
  return { at: computed((): T | undefined => points()[index.value]), listeners }
}
