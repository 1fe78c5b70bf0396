<script setup lang="ts">
import { ElTooltip } from 'element-plus'
import 'element-plus/es/components/tooltip/style/css'

/** A word more about what it is put round: by pointer, by keys, or by a tap. */
defineProps<{ says: string }>()
</script>

<template>
  <ElTooltip v-if="says" :content="says" :trigger="['hover', 'focus', 'click']" :show-after="150" popper-class="tip">
    <slot />
  </ElTooltip>
  <slot v-else />
</template>
