<script setup lang="ts">
import { useView } from '../view'
import { listPlaces } from '@vadose/contract/places'
import { previewMove } from '@vadose/contract/stores'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { Choices } from '../kit'
import { placeOptions } from '../places'
import { useAct } from './act'
import MoveSays from './MoveSays.vue'

const props = defineProps<{ code: string; placeId: string | null; to?: string | undefined }>()
const emit = defineEmits<{ done: [] }>()
const chosen = ref<string | undefined>(props.to)
const { answer: places } = useView(listPlaces)
const { answer: preview } = useView(previewMove, () =>
  chosen.value ? { query: { lot: props.code, place: chosen.value } } : null,
)
const { act, refusal, busy } = useAct()
const others = computed(() => (places.value ?? []).filter((p) => p.id !== props.placeId && p.kind !== 'outdoors'))

async function move() {
  if (chosen.value && (await act(props.code, { act: 'move', placeId: chosen.value }))) emit('done')
}
</script>

<template>
  <section class="card move">
    <h2>Move {{ code }} to</h2>
    <Choices v-model="chosen" label="Places" :options="placeOptions(others)" />
    <MoveSays v-if="preview" :preview="preview" />
    <p v-if="refusal" class="bad" role="alert">{{ refusal.message }}</p>
    <div class="row">
      <ElButton type="primary" :disabled="!preview || busy" @click="move">Move it</ElButton>
      <ElButton @click="emit('done')">Leave it</ElButton>
    </div>
  </section>
</template>

<style scoped>
.move {
  display: grid;
  gap: 10px;
}
</style>
