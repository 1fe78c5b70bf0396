<script setup lang="ts">
import { addOwnCrop, removeOwnCrop, setChoice } from '@vadose/contract/almanac'
import { useView, write } from '../view'
import { listPlaces } from '@vadose/contract/places'
import { sources } from '@vadose/core/almanac'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { ApiError } from '../call'
import { inUnits, useFrame, weight } from '../households'
import { allCrops, cropColour, currentAlmanac } from './almanac'
import ConditionRulers from './ConditionRulers.vue'
import CropList from './CropList.vue'
import LearntCard from './LearntCard.vue'
import NumbersTable from './NumbersTable.vue'
import { numberRows } from './number-words'
import PathLine from './PathLine.vue'
import SchoolsCard from './SchoolsCard.vue'

const frame = useFrame()
const route = useRoute()
const router = useRouter()
const { answer: places } = useView(listPlaces)
const editing = ref(false)
const ownName = ref('')
const adding = ref(false)
const failure = ref('')

const crop = computed(() => {
  const id = String(route.params['crop'] ?? '')
  return currentAlmanac().byId.get(id)
})
const colour = computed(() => (crop.value ? cropColour(crop.value.id) : ''))
const isOwn = computed(() => currentAlmanac().changes.own.some((c) => c.id === crop.value?.id))
const used = computed(() => {
  if (!crop.value) return []
  const seen = new Map(numberRows(crop.value.id).map((row) => [row.source, row.sourceText]))
  for (const c of crop.value.cautions) seen.set(c.source, sources[c.source].text)
  return [...seen.values()]
})
const overridden = computed(() => numberRows(crop.value?.id ?? '').filter((r) => r.ours).length)

async function written(work: Promise<unknown>): Promise<boolean> {
  failure.value = ''
  try {
    await work
    return true
  } catch (error) {
    failure.value = error instanceof ApiError ? error.message : String(error)
    return false
  }
}
const choose = (topic: string, choice: string) =>
  written(write(setChoice, { body: { crop: crop.value!.id, topic, choice } }))
async function addOwn() {
  let id = ''
  const done = await written(
    write(addOwnCrop, { body: { name: ownName.value, template: crop.value!.id } }).then((a) => (id = a.id)),
  )
  if (!done) return
  adding.value = false
  ownName.value = ''
  await router.push(`/almanac/${id}`)
  editing.value = true
}
async function removeOwn() {
  const id = crop.value!.id
  if (await written(write(removeOwnCrop, { params: { crop: id } }))) void router.push('/almanac')
}
</script>

<template>
  <div class="almanac" :class="{ chosen: crop }">
    <CropList :chosen="crop?.id" @choose="editing = false" />

    <article v-if="crop" class="stack">
      <RouterLink class="back" to="/almanac">All crops</RouterLink>
      <header class="head">
        <h1>{{ crop.name }}</h1>
        <p class="soft">
          {{ crop.botanical }} · {{ crop.family }}
          <template v-if="crop.synonyms.length"> · also {{ crop.synonyms.slice(0, 4).join(', ') }}</template>
          <template v-if="isOwn"> · a crop of your own</template>
        </p>
        <div class="acts">
          <ElButton @click="editing = !editing">{{ editing ? 'Done' : 'Change for our house' }}</ElButton>
          <ElButton @click="adding = !adding">Add a crop like it</ElButton>
          <ElButton v-if="isOwn" @click="removeOwn">Remove it</ElButton>
        </div>
      </header>
      <form v-if="adding" class="card row" @submit.prevent="addOwn">
        <label class="field"
          >Name of your crop <ElInput v-model="ownName" maxlength="60" :placeholder="`like ${crop.name}, but …`"
        /></label>
        <ElButton type="primary" native-type="submit" :disabled="!ownName.trim()">Add it</ElButton>
        <p class="soft">It begins with everything {{ crop.name }} has; change what differs.</p>
      </form>
      <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>

      <section class="card">
        <h2 class="visually-hidden">From bed to plate</h2>
        <PathLine :crop="crop" :colour="colour" />
      </section>

      <div class="three">
        <SchoolsCard :crop="crop" @choose="choose" />

        <section class="card stack">
          <h2>Air it likes</h2>
          <ConditionRulers :crop="crop" :colour="colour" :places="places ?? []" />
          <p class="soft">
            At home: {{ inUnits(crop.keeping.atHome.value) }}. Usually in:
            {{ crop.packs.map((p) => p.label).join(', ') }}. A piece weighs about {{ weight(crop.pieceG.value) }}.
          </p>
          <p
            v-if="crop.keeping.ethyleneGiven.value !== 'none' || crop.keeping.ethyleneFelt.value !== 'none'"
            class="soft"
          >
            Ripening gas: gives {{ crop.keeping.ethyleneGiven.value }}, feels {{ crop.keeping.ethyleneFelt.value
            }}<template v-if="crop.keeping.ethyleneShows"> ({{ crop.keeping.ethyleneShows }})</template>.
            <template v-if="crop.keeping.smell"> Smell: {{ crop.keeping.smell }}.</template>
          </p>
          <RouterLink :to="`/bench/keep?crop=${crop.id}`">How long would it keep here? To the bench</RouterLink>
        </section>

        <section class="card stack">
          <h2>What ends it, what to do</h2>
          <ul class="rows plain">
            <li v-for="f in crop.faults" :key="f.id">
              <strong>{{ f.label }}</strong>
              <span v-if="f.spreads !== 'no'" class="tag">{{
                f.spreads === 'quickly' ? 'runs fast' : 'runs slowly'
              }}</span>
              <p class="soft">{{ f.signs }}</p>
              <p class="soft">→ {{ f.actions.map((a) => a.label.toLowerCase()).join(', or ') }}</p>
            </li>
          </ul>
        </section>
      </div>

      <LearntCard :crop="crop.id" :colour="colour" />

      <section class="card stack cautions">
        <h2>Careful</h2>
        <ul class="plain">
          <li v-for="c in crop.cautions" :key="c.id">{{ inUnits(c.text) }}</li>
          <li v-if="!crop.cautions.length">Nothing special; the usual kitchen care.</li>
        </ul>
        <p class="soft">
          Advice, not authority.
          <a
            v-if="frame.frame?.household.authority"
            :href="frame.frame.household.authority.url"
            rel="noreferrer noopener"
            >{{ frame.frame.household.authority.name }} comes first</a
          >
          <template v-else
            >Your local food-safety authority comes first: <RouterLink to="/household">say who that is</RouterLink>, and
            its address stands here.</template
          >
        </p>
      </section>

      <section class="card stack">
        <h2>
          Numbers and where they are from
          <span v-if="overridden" class="soft">◆ {{ overridden }} of your own</span>
        </h2>
        <NumbersTable :crop="crop.id" :editing="editing" />
        <details>
          <summary class="soft">Sources in full</summary>
          <ul>
            <li v-for="s in used" :key="s" class="soft">{{ s }}</li>
          </ul>
        </details>
      </section>
    </article>
    <div v-else class="stack">
      <h1>Almanac</h1>
      <p v-if="route.params['crop']" class="notice bad">There is no “{{ route.params['crop'] }}” in the almanac.</p>
      <p>
        {{ allCrops().length }} crops and forms, each from bed to plate: when it is ready, how it dries, what air it
        likes, what ends it, and where each number is from. Find yours by name, by another name, or by what is in your
        hand.
      </p>
      <p class="soft">Change any number for your house, and add crops of your own from the nearest one.</p>
    </div>
  </div>
</template>

<style scoped>
.almanac {
  display: grid;
  grid-template-columns: 232px minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 14px;
  align-items: start;
}
ul {
  margin: 0;
  padding-left: 18px;
}
.plain {
  list-style: none;
  padding: 0;
}
.rows li {
  padding: 7px 0;
}
.tag {
  margin-left: 6px;
  font-size: 12.5px;
  border: 1px solid var(--bad);
  color: var(--bad);
  border-radius: 4px;
  padding: 0 5px;
  white-space: nowrap;
}
.cautions {
  border-left: 5px solid var(--bad);
}
.cautions li + li {
  margin-top: 5px;
}
.back {
  display: none;
}
@media (max-width: 1100px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 820px) {
  .almanac {
    grid-template-columns: minmax(0, 1fr);
  }
  .almanac.chosen :deep(.list) {
    display: none;
  }
  .almanac:not(.chosen) > div {
    order: -1;
  }
  .back {
    display: block;
    padding: 10px 0;
  }
}
</style>
