<script setup lang="ts">
import { ElDrawer } from 'element-plus'
import 'element-plus/es/components/drawer/style/css'

/** Something opened beside the screen; on a phone, over it. */
defineProps<{ open: boolean; label: string }>()
const emit = defineEmits<{ close: [] }>()
const size = window.matchMedia('(min-width: 821px)').matches ? '560px' : '100%'
</script>

<template>
  <ElDrawer :model-value="open" :size="size" :title="label" @close="emit('close')">
    <template #header><slot name="head" /></template>
    <slot />
  </ElDrawer>
</template>
