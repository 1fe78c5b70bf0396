<script setup lang="ts">
import type { LotRow } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { Choices, Notice } from '../kit'
import { placeOptions } from '../places'
import { useView } from '../view'
import { useAct } from './act'
import { say } from './say'

/** Taken down too early: it goes back on the line, and its clock goes on where it was. */
const props = defineProps<{ lot: LotRow }>()
const emit = defineEmits<{ done: [] }>()
const { answer: places } = useView(listPlaces)
const options = computed(() =>
  placeOptions((places.value ?? []).filter((p) => !['outdoors', 'freezer', 'fridge'].includes(p.kind))),
)
const place = ref<string>()
const { act, refusal, busy } = useAct()
async function hang() {
  if (place.value && (await act(props.lot.code, { act: 'hang', placeId: place.value }))) emit('done')
}
</script>

<template>
  <section class="card stack">
    <h2>{{ say('hangAgainIn', { code: lot.code }) }}</h2>
    <Choices v-model="place" :label="say('whereItHangs')" :options="options" />
    <p class="soft">{{ say('theDryingItHasHad') }}</p>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    <div class="row">
      <ElButton type="primary" :disabled="!place || busy" @click="hang">{{ say('hangItAgain') }}</ElButton>
      <ElButton @click="emit('done')">{{ say('leaveIt') }}</ElButton>
    </div>
  </section>
</template>
