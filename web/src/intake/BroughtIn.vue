<script setup lang="ts">
import type { HarvestAnswer } from '@vadose/contract/intake'
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import type { Crop } from '../almanac'
import { weight } from '../households'
import { PhotoButton } from '../lots'

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
    <h1>{{ lots.length === 1 ? 'One lot' : `${lots.length} lots` }} brought in</h1>
    <ul class="made">
      <li v-for="lot in lots" :key="lot.code" class="card row">
        <strong class="figure">{{ lot.code }}</strong>
        <span>{{ heapOf(lot.heap).label }}, {{ weight(lot.weightG) }}</span>
        <span v-if="binned(lot.heap)" class="soft">written off; the bed is marked</span>
        <template v-else>
          <PhotoButton :code="lot.code" />
          <RouterLink class="el-button" :to="`/lots/${lot.code}/tag`">Tag</RouterLink>
          <RouterLink v-if="heapOf(lot.heap).hangs" class="el-button" :to="`/line?lot=${lot.code}`"
            >On the line</RouterLink
          >
        </template>
      </li>
    </ul>
    <p>Tag at once: a wrong label is found a year too late. The first jobs are in today's round.</p>
    <div class="row">
      <ElButton type="primary" @click="emit('another')">Another variety from this bed</ElButton>
      <RouterLink class="el-button" to="/">To the round</RouterLink>
      <RouterLink v-if="tagged.length > 1" class="el-button" :to="`/lots/${tagged.join(',')}/tag`"
        >All {{ tagged.length }} tags</RouterLink
      >
      <ElButton @click="emit('again')">Bring in more</ElButton>
    </div>
  </div>
</template>

<style scoped>
.made {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
</style>
