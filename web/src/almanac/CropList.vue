<script setup lang="ts">
import { findCrops, type CropGroup } from '@vadose/core/almanac'
import { ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { allCrops, cropColour } from './almanac'
import { say } from './say'
import { Field } from '../kit'

/** Every crop by its kind, or those that fit what is typed. */
defineProps<{ chosen?: string | undefined }>()
defineEmits<{ choose: [] }>()
const router = useRouter()
const query = ref('')

const groupNames: Record<CropGroup, string> = {
  allium: say('onionsAndGarlic'),
  tuber: say('potatoes'),
  squash: say('squash'),
  root: say('roots'),
  cabbage: say('cabbages'),
  leaf: say('leaves'),
  fruiting: say('tomatoesAndKin'),
  legume: say('beansPeasCorn'),
  orchard: say('applesAndPears'),
  stone: say('stoneFruitFigsGrapes'),
  berry: say('berries'),
  herb: say('herbs'),
  seed: say('seedsAndGrain'),
  brining: say('forTheBrine'),
  goods: say('stores'),
}
const found = computed(() => findCrops(allCrops(), query.value))
const grouped = computed(() => {
  if (query.value.trim()) return [{ name: '', matches: found.value }]
  const groups = new Map<CropGroup, typeof found.value>()
  for (const match of found.value) groups.set(match.crop.group, [...(groups.get(match.crop.group) ?? []), match])
  return [...groups].map(([group, matches]) => ({ name: groupNames[group], matches }))
})
function take() {
  const first = found.value[0]
  if (first) void router.push(`/almanac/${first.crop.id}`)
}
</script>

<template>
  <aside class="list">
    <Field :label="say('whatHaveYouGot')"
      ><ElInput
        v-model="query"
        clearable
        :placeholder="say('softNeckZucchini')"
        :aria-label="say('findACropByName')"
        @keydown.enter.prevent="take"
    /></Field>
    <p v-if="!found.length" class="soft">
      {{ say('nothingFitsOpenTheNearest', { query }) }}
    </p>
    <nav :aria-label="say('crops')">
      <section v-for="g in grouped" :key="g.name">
        <h2 v-if="g.name">{{ g.name }}</h2>
        <RouterLink
          v-for="m in g.matches"
          :key="m.crop.id"
          :to="`/almanac/${m.crop.id}`"
          :aria-current="chosen === m.crop.id ? 'page' : undefined"
          :style="{ '--crop': cropColour(m.crop.id) }"
          @click="$emit('choose')"
        >
          {{ m.crop.name }}<span v-if="m.by" class="soft"> {{ m.by }}</span>
        </RouterLink>
      </section>
    </nav>
  </aside>
</template>

<style scoped>
.list {
  position: sticky;
  top: 12px;
  max-height: calc(100vh - 24px);
  overflow-y: auto;
  display: grid;
  gap: var(--s-12);
  padding: var(--s-2) var(--s-6) var(--s-2) var(--s-2);
}
.list h2 {
  font: 600 var(--t-small) var(--font);
  color: var(--soft);
  margin: var(--s-12) 0 var(--s-2);
}
.list nav a {
  display: block;
  padding: var(--s-4) var(--s-8);
  border-left: 4px solid transparent;
  color: var(--ink);
  text-decoration: none;
}
.list nav a:hover {
  border-left-color: var(--line);
}
.list nav a[aria-current] {
  border-left-color: var(--crop);
  font-weight: 650;
  background: var(--paper-deep);
}
@media (max-width: 820px) {
  .list {
    position: static;
    max-height: none;
  }
  .list nav a {
    padding: var(--s-12) var(--s-8);
    min-height: 48px;
  }
}
</style>
