<script setup lang="ts">
import { addOwnCrop, removeOwnCrop, setChoice } from '@vadose/contract/almanac'
import { useView, write } from '../view'
import { listPlaces } from '@vadose/contract/places'
import { sources } from '@vadose/core/almanac'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useAttempt, useFrame, weight } from '../households'
import { cropColour, currentAlmanac } from './almanac'
import AlmanacToday from './AlmanacToday.vue'
import ConditionRulers from './ConditionRulers.vue'
import CropList from './CropList.vue'
import LearntCard from './LearntCard.vue'
import NumbersTable from './NumbersTable.vue'
import { numberRows } from './number-words'
import PathLine from './PathLine.vue'
import SchoolsCard from './SchoolsCard.vue'
import { say } from './say'
import { sayWord, sayProse } from '../voice'
import { Field, Fold, Notice } from '../kit'

const frame = useFrame()
const route = useRoute()
const router = useRouter()
const { answer: places } = useView(listPlaces)
const editing = ref(false)
const ownName = ref('')
const adding = ref(false)
const { attempt, failure } = useAttempt()

const crop = computed(() => {
  const id = String(route.params['crop'] ?? '')
  return currentAlmanac().byId.get(id)
})
const colour = computed(() => (crop.value ? cropColour(crop.value.id) : ''))
const isOwn = computed(() => currentAlmanac().changes.own.some((c) => c.id === crop.value?.id))
const used = computed(() => {
  if (!crop.value) return []
  const seen = new Map(numberRows(crop.value.id).map((row) => [row.source, row.sourceText]))
  for (const c of crop.value.cautions) seen.set(c.source, sayWord(sources[c.source].text))
  return [...seen.values()]
})
const overridden = computed(() => numberRows(crop.value?.id ?? '').filter((r) => r.ours).length)

const choose = (topic: string, choice: string) =>
  attempt(() => write(setChoice, { body: { crop: crop.value!.id, topic, choice } }))
async function addOwn() {
  let id = ''
  const done = await attempt(async () => {
    id = (await write(addOwnCrop, { body: { name: ownName.value, template: crop.value!.id } })).id
  })
  if (!done) return
  adding.value = false
  ownName.value = ''
  await router.push(`/almanac/${id}`)
  editing.value = true
}
async function removeOwn() {
  const id = crop.value!.id
  if (await attempt(() => write(removeOwnCrop, { params: { crop: id } }))) void router.push('/almanac')
}
</script>

<template>
  <div class="almanac" :class="{ chosen: crop }">
    <CropList :chosen="crop?.id" @choose="editing = false" />

    <article v-if="crop" class="stack">
      <RouterLink class="back" to="/almanac">{{ say('allCrops') }}</RouterLink>
      <header class="head">
        <h1>{{ crop.name }}</h1>
        <p class="soft">
          <i lang="la">{{ crop.botanical }}</i> · {{ crop.family }}
          <template v-if="crop.synonyms.length">{{
            say('also', { synonyms: crop.synonyms.slice(0, 4).join(', ') })
          }}</template>
          <template v-if="isOwn">{{ say('aCropOfYourOwn') }}</template>
        </p>
        <div class="acts">
          <ElButton @click="editing = !editing">{{ editing ? say('done') : say('changeForOurHouse') }}</ElButton>
          <ElButton @click="adding = !adding">{{ say('addACropLikeIt') }}</ElButton>
          <ElButton v-if="isOwn" @click="removeOwn">{{ say('removeIt') }}</ElButton>
        </div>
      </header>
      <form v-if="adding" class="card row" @submit.prevent="addOwn">
        <Field :label="say('nameOfYourCrop')"
          ><ElInput v-model="ownName" maxlength="60" :placeholder="say('likeBut', { name: crop.name })"
        /></Field>
        <ElButton type="primary" native-type="submit" :disabled="!ownName.trim()">{{ say('addIt') }}</ElButton>
        <p class="soft">{{ say('itBeginsWithEverythingHas', { name: crop.name }) }}</p>
      </form>
      <Notice v-if="failure" bad>{{ failure }}</Notice>

      <section class="card">
        <h2 class="visually-hidden">{{ say('fromBedToPlate') }}</h2>
        <PathLine :crop="crop" :colour="colour" />
      </section>

      <div class="three">
        <SchoolsCard :crop="crop" @choose="choose" />

        <section class="card stack">
          <h2>{{ say('airItLikes') }}</h2>
          <ConditionRulers :crop="crop" :colour="colour" :places="places ?? []" />
          <p class="soft">
            {{
              say('atHomeUsuallyInA', {
                atHome: sayProse(crop.keeping.atHome.value),
                packs: crop.packs.map((p) => p.label).join(', '),
                pieceG: weight(crop.pieceG.value),
              })
            }}
          </p>
          <p
            v-if="crop.keeping.ethyleneGiven.value !== 'none' || crop.keeping.ethyleneFelt.value !== 'none'"
            class="soft"
          >
            {{
              say('ripeningGasGivesFeels', {
                ethyleneGiven: sayWord(crop.keeping.ethyleneGiven.value),
                ethyleneFelt: sayWord(crop.keeping.ethyleneFelt.value),
              })
            }}<template v-if="crop.keeping.ethyleneShows"> ({{ crop.keeping.ethyleneShows }})</template>.
            <template v-if="crop.keeping.smell">{{ say('smell', { smell: crop.keeping.smell }) }}</template>
          </p>
          <RouterLink :to="`/bench/keep?crop=${crop.id}`">{{ say('howLongWouldItKeep') }}</RouterLink>
        </section>

        <section class="card stack">
          <h2>{{ say('whatEndsItWhatTo') }}</h2>
          <ul class="rows plain">
            <li v-for="f in crop.faults" :key="f.id">
              <strong>{{ f.label }}</strong>
              <span v-if="f.spreads !== 'no'" class="tag">{{
                f.spreads === 'quickly' ? say('runsFast') : say('runsSlowly')
              }}</span>
              <p class="soft">{{ f.signs }}</p>
              <p class="soft">→ {{ f.actions.map((a) => a.label.toLowerCase()).join(', or ') }}</p>
            </li>
          </ul>
        </section>
      </div>

      <LearntCard :crop="crop.id" :colour="colour" />

      <section class="card stack cautions">
        <h2>{{ say('careful') }}</h2>
        <ul class="plain">
          <li v-for="c in crop.cautions" :key="c.id">{{ sayProse(c.text) }}</li>
          <li v-if="!crop.cautions.length">{{ say('nothingSpecialTheUsualKitchen') }}</li>
        </ul>
        <p class="soft">
          {{ say('adviceNotAuthority') }}
          <a
            v-if="frame.frame?.household.authority"
            :href="frame.frame.household.authority.url"
            rel="noreferrer noopener"
            >{{ say('comesFirst', { name: frame.frame.household.authority.name }) }}</a
          >
          <template v-else
            >{{ say('yourLocalFoodSafetyAuthority') }}
            <RouterLink to="/household">{{ say('sayWhoThatIs') }}</RouterLink>{{
              say('andItsAddressStandsHere')
            }}</template
          >
        </p>
      </section>

      <section class="card stack">
        <h2>
          {{ say('numbersAndWhereTheyAre') }}
          <span v-if="overridden" class="soft">{{ say('ofYourOwn', { overridden }) }}</span>
        </h2>
        <NumbersTable :crop="crop.id" :editing="editing" />
        <Fold :label="say('sourcesInFull')">
          <ul>
            <li v-for="s in used" :key="s" class="soft">{{ s }}</li>
          </ul>
        </Fold>
      </section>
    </article>
    <div v-else class="stack">
      <Notice v-if="route.params['crop']" bad>
        {{ say('thereIsNoInThe', { params: String(route.params['crop']) }) }}
      </Notice>
      <AlmanacToday />
    </div>
  </div>
</template>

<style scoped>
.almanac {
  display: grid;
  grid-template-columns: 232px minmax(0, 1fr);
  gap: var(--s-24);
  align-items: start;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--s-16);
  align-items: start;
}
ul {
  margin: 0;
  padding-left: var(--s-16);
}
.plain {
  list-style: none;
  padding: 0;
}
.rows li {
  padding: var(--s-8) 0;
}
.tag {
  margin-left: var(--s-6);
  font-size: var(--t-small);
  border: 1px solid var(--bad);
  color: var(--bad);
  border-radius: 4px;
  padding: 0 var(--s-6);
  white-space: nowrap;
}
.cautions {
  border-left: 5px solid var(--bad);
}
.cautions li + li {
  margin-top: var(--s-6);
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
    padding: var(--s-8) 0;
  }
}
</style>
