<script setup lang="ts">
import { useView } from '../view'
import type { LotRow } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { previewMove } from '@vadose/contract/stores'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { Choices, Notice } from '../kit'
import { placeOptions } from '../places'
import { lotCrop } from '../almanac'
import { useAct } from './act'
import HowMuch, { type HowMuchOf } from './HowMuch.vue'
import MoveSays from './MoveSays.vue'
import { say } from './say'

const props = defineProps<{
  code: string
  placeId: string | null
  to?: string | undefined
  /** what there is, where a part can be moved */
  of?: LotRow
}>()
const emit = defineEmits<{ done: [] }>()
const chosen = ref<string | undefined>(props.to)
const { answer: places } = useView(listPlaces)
const { answer: preview } = useView(previewMove, () =>
  chosen.value ? { query: { lot: props.code, place: chosen.value } } : null,
)
const { act, refusal, busy } = useAct()
const others = computed(() => (places.value ?? []).filter((p) => p.id !== props.placeId && p.kind !== 'outdoors'))

const into = computed(() => places.value?.find((p) => p.id === chosen.value)?.kind)
const freezes = computed(() => into.value === 'freezer' && props.of?.form === 'fresh' && lotCrop(props.of).freezing)
const thaws = computed(() => props.of?.form === 'frozen' && into.value !== undefined && into.value !== 'freezer')
const howMuch = ref<'all' | 'part' | undefined>('all')
const part = ref<HowMuchOf>()
const piece = computed(() => (props.of ? lotCrop(props.of).piece : { one: 'piece', many: 'pieces' }))
async function move() {
  const of = howMuch.value === 'part' ? part.value : {}
  if (chosen.value && of && (await act(props.code, { act: 'move', placeId: chosen.value, ...of }))) emit('done')
}
</script>

<template>
  <section class="card move">
    <h2>{{ say('moveTo', { code }) }}</h2>
    <Choices v-model="chosen" :label="say('places')" :options="placeOptions(others)" />
    <Choices
      v-if="of"
      v-model="howMuch"
      :label="say('howMuchOfIt')"
      :options="[
        { id: 'all', label: say('allOfIt') },
        { id: 'part', label: say('aPart') },
      ]"
    />
    <HowMuch v-if="of && howMuch === 'part'" v-model="part" :of="of" :piece="piece" :label="say('howMuchIsMoved')" />
    <Notice v-if="freezes">
      {{ say('isPreparedAndBaggedBefore', { name: lotCrop(of!).name }) }}
      <RouterLink :to="`/lots/${code}/freeze`">{{ say('freezeIt2') }}</RouterLink>.
    </Notice>
    <Notice v-if="thaws" bad>
      {{ say('outOfTheFreezerIt') }}
    </Notice>
    <MoveSays v-if="preview && !freezes" :preview="preview" />
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    <div class="row">
      <ElButton type="primary" :disabled="!preview || busy || (howMuch === 'part' && !part)" @click="move">{{
        say('moveIt')
      }}</ElButton>
      <ElButton @click="emit('done')">{{ say('leaveIt') }}</ElButton>
    </div>
  </section>
</template>

<style scoped>
.move {
  display: grid;
  gap: var(--s-12);
}
</style>
