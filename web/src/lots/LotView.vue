<script setup lang="ts">
import { useView } from '../view'
import { readLot } from '@vadose/contract/lots'
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import LotPanel from './LotPanel.vue'
import { Notice } from '../kit'

const route = useRoute()
const router = useRouter()
const code = () => String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code: code() } }))
const panel = ref<InstanceType<typeof LotPanel>>()
const wide = window.matchMedia('(min-width: 821px)').matches

function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey || (event.target as HTMLElement).closest('input, textarea')) return
  if (!lot.value || lot.value.stage === 'gone') return
  const usable = ['fresh', 'stored', 'drying'].includes(lot.value.stage)
  if (event.key === 'u' && usable) panel.value?.toggle('use')
  else if (event.key === 's' && usable) void router.push(`/lots/${code()}/sort`)
  else if (event.key === 'm') panel.value?.toggle('move')
  else if (event.key === 'c' && lot.value.stage === 'stored') void router.push(`/lots/${code()}/check`)
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <LotPanel v-if="lot" ref="panel" :lot="lot" :wide="wide" />
  <Notice v-else-if="failure" bad>{{ failure }}</Notice>
</template>
