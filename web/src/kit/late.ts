import { defineAsyncComponent } from 'vue'

/** A fold for what seldom is there: loaded only then, and no part of the first page. */
export const LateFold = defineAsyncComponent(() => import('./Fold.vue'))
