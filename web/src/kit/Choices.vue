<script setup lang="ts" generic="T extends string">
import { stepThrough } from './arrow-keys'

/** One of a few, each in full view: a tap, not a list to open. */
defineProps<{
  label: string
  options: readonly {
    id: T
    label: string
    detail?: string | undefined
    /** of its own, beside its words */
    colour?: string
  }[]
}>()
const chosen = defineModel<T | undefined>({ required: true })
</script>

<template>
  <div class="choices" role="radiogroup" :aria-label="label" @keydown="stepThrough">
    <button
      v-for="o in options"
      :key="o.id"
      type="button"
      role="radio"
      class="choice"
      :class="{ marked: o.colour }"
      :style="o.colour && { '--mark': o.colour }"
      :aria-checked="chosen === o.id"
      @click="chosen = o.id"
    >
      {{ o.label }}<span v-if="o.detail" class="soft">{{ o.detail }}</span>
    </button>
  </div>
</template>

<style scoped>
.marked {
  border-left: 7px solid var(--mark);
  font: 600 16px var(--font-head);
}
.soft {
  display: block;
  margin-left: 0;
  font-weight: 400;
}
</style>
