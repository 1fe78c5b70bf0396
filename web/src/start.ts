import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { breath } from './by-and-by'
import { watchChanges } from './changes'
import { useFrame } from './households'
import { makeRouter } from './router'
import { answers } from './view'

/**
 * Draws the page, in stretches none of which holds up a tap.
 * @param firstFigure what is waited for before anything with a figure in it is drawn
 */
export async function start(firstFigure: Promise<void>): Promise<void> {
  const app = createApp(App).use(createPinia()).use(VueQueryPlugin, { queryClient: answers })
  // the household is asked for first: its answer is on its way while the rest goes on
  app.runWithContext(() => useFrame())
  await breath()
  // this begins to read the screen that the address names
  app.use(makeRouter())
  await breath()
  await firstFigure
  app.mount('#app')
  watchChanges()
}
