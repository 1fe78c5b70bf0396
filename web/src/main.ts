import '@fontsource-variable/bitter/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import 'element-plus/es/components/base/style/css'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/input/style/css'
import './theme/index.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { watchChanges } from './changes'
import { findHousehold } from './households/find-household'
import { router } from './router'
import { answers } from './view'

// a page is open on one household, named in its address; where none is, the one there is or the one looked at last
void findHousehold().then((address) => {
  if (address) location.replace(address)
  else {
    createApp(App).use(createPinia()).use(VueQueryPlugin, { queryClient: answers }).use(router).mount('#app')
    watchChanges()
  }
})
