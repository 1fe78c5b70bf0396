import interact from 'interactjs'
import { watch, type Ref } from 'vue'

/** What is carried: a lot by its code, or a place by its id. */
export type Carried = { lot: string } | { place: string }

/** A finger rests so long before it carries, ms: sooner it scrolls. */
const fingerRests = 250

/**
 * Lots (`data-carry-lot`) and, by their heads, places (`data-carry-place`) are carried by mouse, pen or finger to a place
 * (`data-place-id`) within `root`; what they are let go of over is told, and they lie where they lay.
 */
export function useCarry(root: Ref<HTMLElement | undefined>, letGo: (what: Carried, placeId: string) => void): void {
  let carrying = false
  const carried = ({ dataset }: HTMLElement): Carried =>
    dataset['carryLot'] ? { lot: dataset['carryLot'] } : { place: dataset['carryPlace']! }
  // a finger that carries something does not scroll, nor open a menu
  const hold = (event: Event) => {
    if (carrying) event.preventDefault()
  }
  const begin = (context: HTMLElement) => {
    context.addEventListener('touchmove', hold, { passive: false })
    context.addEventListener('contextmenu', hold)
    const things = interact('[data-carry-lot], [data-carry-place]', { context })
    things.styleCursor(false).draggable({
      autoScroll: true,
      listeners: {
        start({ target }) {
          carrying = true
          target.classList.add('carried')
        },
        move({ target, dx, dy }) {
          const x = Number(target.dataset.x ?? 0) + dx
          const y = Number(target.dataset.y ?? 0) + dy
          Object.assign(target.dataset, { x, y })
          target.style.transform = `translate(${x}px, ${y}px)`
        },
        end({ target }) {
          carrying = false
          target.classList.remove('carried')
          target.style.transform = ''
          delete target.dataset.x
          delete target.dataset.y
        },
      },
    })
    things.actionChecker((pointer: PointerEvent, _event: Event, action: object, of: typeof things) => {
      of.draggable({ hold: pointer.pointerType === 'touch' ? fingerRests : 0 })
      return action
    })
    const places = interact('[data-place-id]', { context }).dropzone({
      accept: '[data-carry-lot], [data-carry-place]',
      // where the pointer is, not where the most of a wide jar row lies
      overlap: 'pointer',
      ondragenter: ({ target }) => target.classList.add('over'),
      ondragleave: ({ target }) => target.classList.remove('over'),
      ondrop({ target, relatedTarget }) {
        target.classList.remove('over')
        letGo(carried(relatedTarget as HTMLElement), (target as HTMLElement).dataset['placeId']!)
      },
    })
    return () => {
      things.unset()
      places.unset()
      context.removeEventListener('touchmove', hold)
      context.removeEventListener('contextmenu', hold)
    }
  }
  watch(root, (context, _before, whenOver) => context && whenOver(begin(context)), { immediate: true, flush: 'post' })
}
