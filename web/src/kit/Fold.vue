<script setup lang="ts">
import { ElCollapse, ElCollapseItem } from 'element-plus'
import 'element-plus/es/components/collapse/style/css'
import 'element-plus/es/components/collapse-item/style/css'
import { onMounted, ref } from 'vue'

/** What is there for whoever asks: shut until its words are tapped. */
defineProps<{ label: string }>()
const open = ref<string[]>([])
const fold = ref<InstanceType<typeof ElCollapse>>()
// its head would be described by all that is folded away, read out whole
onMounted(() =>
  (fold.value?.$el as HTMLElement).querySelector('[aria-describedby]')?.removeAttribute('aria-describedby'),
)
</script>

<template>
  <ElCollapse ref="fold" v-model="open" class="fold">
    <ElCollapseItem name="fold" :title="label"><slot /></ElCollapseItem>
  </ElCollapse>
</template>

<style scoped>
.fold {
  --el-collapse-header-height: 44px;
  --el-collapse-header-bg-color: transparent;
  --el-collapse-content-bg-color: transparent;
  --el-collapse-header-text-color: var(--soft);
  --el-collapse-content-text-color: var(--ink);
  --el-collapse-header-font-size: var(--t-note);
  --el-collapse-content-font-size: var(--t-note);
  border: 0;
}
.fold :deep(:is(.el-collapse-item__header, .el-collapse-item__wrap)) {
  border: 0;
}
.fold :deep(.el-collapse-item__content) {
  padding: 0 0 var(--s-8);
  line-height: inherit;
}
</style>
