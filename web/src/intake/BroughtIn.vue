<script setup lang="ts">
import type { HarvestAnswer } from '@vadose/contract/intake'
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import type { Crop } from '../almanac'
import { weight } from '../households'
import { PhotoButton } from '../lots'
import { say } from './say'

/** The lots a harvest has made, each with its tag to print. */
const props = defineProps<{ lots: HarvestAnswer['lots']; crop: Crop }>()
const emit = defineEmits<{ again: []; another: [] }>()
const heapOf = (id: string) => props.crop.heaps.find((h) => h.id === id)!
const binned = (id: string) => heapOf(id).fate === 'bin'
/** What is left to tag: what went in the bin needs none. */
const tagged = computed(() => props.lots.filter((lot) => !binned(lot.heap)).map((lot) => lot.code))
</script>

<template>
  <div class="stack">
    <h1>{{ say('broughtIn', { lots: lots.length === 1 ? say('oneLot') : say('lots', { lots: lots.length }) }) }}</h1>
    <ul class="made">
      <li v-for="lot in lots" :key="lot.code" class="card row">
        <strong class="figure">{{ lot.code }}</strong>
        <span>{{ heapOf(lot.heap).label }}, {{ weight(lot.weightG) }}</span>
        <span v-if="binned(lot.heap)" class="soft">{{ say('writtenOffTheBedIs') }}</span>
        <template v-else>
          <PhotoButton :code="lot.code" />
          <RouterLink class="el-button" :to="`/lots/${lot.code}/tag`">{{ say('tag') }}</RouterLink>
          <RouterLink v-if="heapOf(lot.heap).hangs" class="el-button" :to="`/line?lot=${lot.code}`">{{
            say('onTheLine')
          }}</RouterLink>
        </template>
      </li>
    </ul>
    <p>{{ say('tagAtOnceAWrong') }}</p>
    <div class="row">
      <ElButton type="primary" @click="emit('another')">{{ say('anotherVarietyFromThisBed') }}</ElButton>
      <RouterLink class="el-button" to="/">{{ say('toTheRound') }}</RouterLink>
      <RouterLink v-if="tagged.length > 1" class="el-button" :to="`/lots/${tagged.join(',')}/tag`">{{
        say('allTags', { tagged: tagged.length })
      }}</RouterLink>
      <ElButton @click="emit('again')">{{ say('bringInMore') }}</ElButton>
    </div>
  </div>
</template>

<style scoped>
.made {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: var(--s-12);
}
</style>
