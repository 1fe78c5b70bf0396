<script setup lang="ts">
import { ElProgress } from 'element-plus'
import 'element-plus/es/components/progress/style/css'

/** How far something long has come, as a bar and in figures. */
defineProps<{ label: string; share: number }>()
</script>

<template>
  <ElProgress
    class="how-far"
    :percentage="Math.round(100 * share)"
    :stroke-width="10"
    :format="(n: number) => `${n} %`"
    :aria-label="label"
  />
</template>

<style scoped>
.how-far {
  flex: 1;
  min-width: 180px;
  --el-color-primary: var(--accent);
  --el-border-color-lighter: var(--line);
}
</style>
