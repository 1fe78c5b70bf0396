<script setup lang="ts">
import { useView } from '../view'
import { readLot } from '@vadose/contract/lots'
import { ElDrawer } from 'element-plus'
import 'element-plus/es/components/drawer/style/css'
import LotPanel from './LotPanel.vue'
import { say } from './say'

const props = defineProps<{ code: string | undefined }>()
const emit = defineEmits<{ close: [] }>()
const { answer: lot, failure } = useView(readLot, () => (props.code ? { params: { code: props.code } } : null))
const size = window.matchMedia('(min-width: 821px)').matches ? '560px' : '100%'
</script>

<template>
  <ElDrawer
    :model-value="code !== undefined"
    :size="size"
    :title="say('lot', { code: code ?? '' })"
    :with-header="true"
    @close="emit('close')"
  >
    <template #header>
      <RouterLink v-if="code" :to="`/lots/${code}`">{{ say('openAsAPage', { code }) }}</RouterLink>
    </template>
    <LotPanel v-if="lot && lot.code === code" :lot="lot" />
    <p v-else-if="failure" class="notice bad">{{ failure }}</p>
  </ElDrawer>
</template>
