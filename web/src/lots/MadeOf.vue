<script setup lang="ts">
import { readMadeOf } from '@vadose/contract/kitchen'
import { cropColour, lotName } from '../almanac'
import { longDate, weight } from '../households'
import { useView } from '../view'
import { say } from './say'

/** What went into it, back to the beds: asked by its label, years later. */
const props = defineProps<{ code: string }>()
const { answer } = useView(readMadeOf, () => ({ params: { code: props.code } }))
</script>

<template>
  <section v-if="answer && answer.parts.length > 0" class="card">
    <h2>{{ say('whatItIsMadeOf') }}</h2>
    <ul class="bare rows">
      <li
        v-for="(part, i) in answer.parts"
        :key="i"
        :style="{
          '--mark': part.crop ? cropColour(part.crop) : 'var(--crop-goods)',
          marginLeft: `${part.depth * 22}px`,
        }"
      >
        <strong>{{
          part.crop
            ? lotName({ crop: part.crop, form: part.form ?? 'fresh', name: part.code ? null : part.name })
            : part.name
        }}</strong>
        <RouterLink v-if="part.code" class="code" :to="`/lots/${part.code}`">{{ part.code }}</RouterLink>
        <span class="soft">
          {{ weight(part.weightG) }}<template v-if="part.variety"> · {{ part.variety }}</template
          ><template v-if="part.bed"> · {{ part.bed }}</template
          ><template v-if="part.broughtOn"> · {{ longDate(part.broughtOn) }}</template
          ><template v-if="!part.code">{{ say('noLotOfOurs') }}</template>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  border-left: 5px solid var(--mark);
  padding: var(--s-6) 0 var(--s-6) var(--s-8);
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-8);
  align-items: baseline;
}
</style>
