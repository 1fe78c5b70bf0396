<script setup lang="ts">
import { listBeds, type StandView } from '@vadose/contract/beds'
import { lastHarvests } from '@vadose/contract/intake'
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { cropColour, cropOf } from '../almanac'
import { amount, longDate, weight } from '../households'
import { useView } from '../view'
import NewStand from './NewStand.vue'
import StandCard from './StandCard.vue'
import { say } from './say'
import { Notice } from '../kit'

const { answer: stands, failure } = useView(listBeds)
const { answer: memory } = useView(lastHarvests)
const route = useRoute()
const growing = computed(() => (stands.value ?? []).filter((stand) => !stand.over))
const over = computed(() => (stands.value ?? []).filter((stand) => stand.over))
const open = ref<string>()
watch(
  () => route.query['stand'],
  (stand) => typeof stand === 'string' && (open.value = stand),
  { immediate: true },
)
const adding = ref(false)
const liftedG = (stand: StandView) => stand.lifted.reduce((sum, { weightG }) => sum + weightG, 0)
/** What a planting gave, as many times its weight or its count. */
function gave({ planted, lifted }: StandView): string {
  const pieces = lifted.reduce((sum, l) => sum + l.pieces, 0)
  const grams = lifted.reduce((sum, l) => sum + l.weightG, 0)
  if (planted.weightG > 0 && grams > 0) return say('timesItsWeight', { grams: (grams / planted.weightG).toFixed(1) })
  if (planted.pieces > 0 && pieces > 0) return say('forEachPlanted', { pieces: (pieces / planted.pieces).toFixed(1) })
  return ''
}
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="stands" class="stack">
    <header class="head">
      <h1>{{ say('inTheBeds') }}</h1>
      <p class="soft">{{ say('whatWasSeenWhatIt') }}</p>
      <div class="acts">
        <ElButton :aria-expanded="adding" @click="adding = !adding">{{
          adding ? say('close') : say('anotherBed')
        }}</ElButton>
      </div>
    </header>
    <NewStand v-if="adding || stands.length === 0" :memory="memory ?? []" @kept="adding = false" />
    <div v-if="growing.length" class="growing">
      <StandCard
        v-for="stand in growing"
        :key="stand.key"
        :stand="stand"
        :open="open === stand.key"
        @turn="open = open === stand.key ? undefined : stand.key"
      />
    </div>
    <section v-if="over.length" class="card">
      <h2>{{ say('lifted') }}</h2>
      <ul class="rows">
        <li v-for="stand in over" :key="stand.key" :style="{ '--crop': cropColour(stand.crop) }">
          <strong>{{ cropOf(stand.crop).name }}{{ stand.variety ? ` ${stand.variety}` : '' }}</strong>
          <span class="soft">{{ stand.bed }}</span>
          <span v-if="stand.lifted.length">{{
            say('lastOn', { weight: weight(liftedG(stand)), on: longDate(stand.lifted.at(-1)!.on) })
          }}</span>
          <span v-else>{{ say('cleared') }}</span>
          <span class="soft"
            ><template v-if="stand.plantedOn"
              >{{ say('planted2') }}
              <template v-if="stand.planted.pieces || stand.planted.weightG">{{
                amount(stand.planted.pieces || null, stand.planted.weightG, cropOf(stand.crop).piece)
              }}</template>
              {{ say('on', { plantedOn: longDate(stand.plantedOn) })
              }}<template v-if="gave(stand)">: {{ gave(stand) }}</template></template
            ></span
          >
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.growing {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 520px), 1fr));
  gap: var(--s-16);
  align-items: start;
}
ul {
  list-style: none;
  margin: var(--s-6) 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) 90px minmax(0, 1.2fr) minmax(0, 1.8fr);
  gap: var(--s-4) var(--s-12);
  padding: var(--s-8) 0 var(--s-8) var(--s-8);
  border-left: 5px solid var(--crop);
}
@media (max-width: 820px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
