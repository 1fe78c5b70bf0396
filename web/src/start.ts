import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { watchChanges } from './changes'
import { router } from './router'
import { answers } from './view'

/** Draws the page. */
export function start(): void {
  createApp(App).use(createPinia()).use(VueQueryPlugin, { queryClient: answers }).use(router).mount('#app')
  watchChanges()
}
