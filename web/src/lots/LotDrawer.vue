<script setup lang="ts">
import { useView } from '../view'
import { readLot } from '@vadose/contract/lots'
import { Drawer, Notice } from '../kit'
import LotPanel from './LotPanel.vue'
import { say } from './say'

const props = defineProps<{ code: string | undefined }>()
const emit = defineEmits<{ close: [] }>()
const { answer: lot, failure } = useView(readLot, () => (props.code ? { params: { code: props.code } } : null))
</script>

<template>
  <Drawer :open="code !== undefined" :label="say('lot', { code: code ?? '' })" @close="emit('close')">
    <template #head>
      <RouterLink v-if="code" :to="`/lots/${code}`">{{ say('openAsAPage', { code }) }}</RouterLink>
    </template>
    <LotPanel v-if="lot && lot.code === code" :lot="lot" />
    <Notice v-else-if="failure" bad>{{ failure }}</Notice>
  </Drawer>
</template>
