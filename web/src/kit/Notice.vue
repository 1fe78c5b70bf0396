<script setup lang="ts">
import { ElAlert } from 'element-plus'
import 'element-plus/es/components/alert/style/css'
import { IconDone, IconNote, IconWarning, IconWrong } from './icons'

/** Something said to whoever looks: in passing, or of what went wrong or wants care, which is read out at once. */
defineProps<{ bad?: boolean; good?: boolean; care?: boolean }>()
</script>

<template>
  <ElAlert
    class="notice"
    :class="{ bad, good, care }"
    :type="bad ? 'error' : care ? 'warning' : good ? 'success' : 'info'"
    :closable="false"
    :role="bad ? 'alert' : 'status'"
  >
    <template #title
      ><component
        :is="bad ? IconWrong : care ? IconWarning : good ? IconDone : IconNote"
        class="icon"
        aria-hidden="true" />
      <div class="says"><slot /></div
    ></template>
  </ElAlert>
</template>
