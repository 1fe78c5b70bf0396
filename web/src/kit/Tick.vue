<script setup lang="ts">
import { ElCheckbox } from 'element-plus'
import 'element-plus/es/components/checkbox/style/css'

/** Yes or no, beside its words. */
defineProps<{ label: string }>()
const ticked = defineModel<boolean>({ required: true })
</script>

<template>
  <ElCheckbox v-model="ticked" class="tick" :label="label" />
</template>

<style scoped>
.tick {
  --el-checkbox-input-width: 22px;
  --el-checkbox-input-height: 22px;
  --el-checkbox-font-size: var(--t-text);
  height: auto;
  min-height: var(--touch);
  align-self: end;
  margin-right: var(--s-16);
  white-space: normal;
}
.tick :deep(.el-checkbox__inner)::after {
  left: 7px;
  top: 3px;
  width: 5px;
  height: 11px;
  border-width: 2.5px;
}
</style>
