<script setup lang="ts" generic="T extends string">
import { ElRadioButton, ElRadioGroup } from 'element-plus'
import 'element-plus/es/components/radio-group/style/css'
import 'element-plus/es/components/radio-button/style/css'

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
  <!-- Enter chooses, as a tap does: left to the browser it would send the form -->
  <ElRadioGroup
    v-model="chosen"
    class="choices"
    :aria-label="label"
    @keydown.enter.prevent="($event.target as HTMLElement).click()"
  >
    <ElRadioButton
      v-for="o in options"
      :key="o.id"
      :value="o.id"
      class="choice"
      :class="{ marked: o.colour }"
      :style="o.colour && { '--mark': o.colour }"
    >
      {{ o.label }}<span v-if="o.detail" class="soft">{{ o.detail }}</span>
    </ElRadioButton>
  </ElRadioGroup>
</template>

<style scoped>
.choices {
  justify-content: flex-start;
  align-items: stretch;
  font-size: var(--t-text);
  line-height: inherit;
}
.choice {
  position: relative;
  display: grid;
  align-content: center;
  font: inherit;
}
.choice :deep(.el-radio-button__inner) {
  display: block;
  padding: 0;
  border: 0 !important;
  outline: 0 !important;
  border-radius: 0;
  background: none !important;
  box-shadow: none !important;
  color: inherit !important;
  font: inherit;
  font-size: inherit;
  line-height: inherit;
  text-align: left;
  white-space: normal;
}
/* the radio itself lies over its words: it is what is tapped, focused and read out */
.choice :deep(.el-radio-button__original-radio) {
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  z-index: 1;
  cursor: pointer;
}
.choice:has(:focus-visible) {
  outline: 3px solid var(--accent);
  outline-offset: 2px;
}
.marked {
  border-left: 7px solid var(--mark);
  font: 600 var(--t-text) var(--font-head);
}
.soft {
  display: block;
  margin-left: 0;
  font-weight: 400;
}
</style>
