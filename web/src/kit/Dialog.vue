<script setup lang="ts">
import { ElDialog } from 'element-plus'
import 'element-plus/es/components/dialog/style/css'

/** Asked before something that cannot be taken back; Escape and a tap beside it leave all as it was. */
defineProps<{ open: boolean; title: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <ElDialog
    :model-value="open"
    :title="title"
    width="min(520px, calc(100vw - 24px))"
    align-center
    @close="emit('close')"
  >
    <slot />
  </ElDialog>
</template>
