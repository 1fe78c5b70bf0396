<script setup lang="ts">
import { listLots } from '@vadose/contract/lots'
import { addPlace, listPlaces } from '@vadose/contract/places'
import { placeKinds, type PlaceKind } from '@vadose/core/places'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { useView, write } from '../view'
import { useAttempt } from './attempt'
import { say } from './say'
import { sayWord, sayProse } from '../voice'
import { Notice } from '../kit'

/** From nothing to a first round: each step can be skipped, and looked up again. */
const { answer: places } = useView(listPlaces)
const { answer: lots } = useView(listLots)
const { attempt, failure, busy } = useAttempt()
const kinds = Object.keys(placeKinds) as PlaceKind[]
const chosen = ref<PlaceKind>()
const name = ref('')
function choose(kind: PlaceKind) {
  const same = (places.value ?? []).filter((place) => place.kind === kind).length
  chosen.value = chosen.value === kind ? undefined : kind
  name.value =
    same === 0
      ? sayWord(placeKinds[kind].label).split(',')[0]!
      : `${sayWord(placeKinds[kind].label).split(',')[0]} ${same + 1}`
}
const add = async () => {
  const body = { name: name.value.trim(), kind: chosen.value! }
  if (await attempt(() => write(addPlace, { body }))) chosen.value = undefined
}
const onShelf = computed(() => (lots.value ?? []).filter(({ stage }) => stage === 'stored' || stage === 'fresh').length)
const hangs = computed(() => (lots.value ?? []).filter(({ stage }) => stage === 'drying').length)
const lines = (n: number) => say('lineThere', { n })
</script>

<template>
  <div class="stack first">
    <header class="head">
      <h1>{{ say('theFirstEvening') }}</h1>
      <p class="soft">
        {{ say('tenMinutesInAnyOrder') }}
      </p>
    </header>
    <section class="card stack">
      <h2><span class="n">1</span> {{ say('whereDoYouKeepThings') }}</h2>
      <p>
        <strong v-for="p in places ?? []" :key="p.id" class="has">{{ p.name }}</strong>
      </p>
      <div class="choices" role="group" :aria-label="say('kindsOfPlace')">
        <button
          v-for="k in kinds"
          :key="k"
          type="button"
          class="choice"
          :aria-pressed="chosen === k"
          @click="choose(k)"
        >
          {{ sayWord(placeKinds[k].label) }}<span class="soft">{{ sayProse(placeKinds[k].winter) }}</span>
        </button>
      </div>
      <form v-if="chosen" class="row" @submit.prevent="add">
        <ElInput v-model="name" class="name" maxlength="40" :aria-label="say('whatYouCallIt')" />
        <ElButton type="primary" native-type="submit" :disabled="busy || !name.trim()">{{ say('addIt') }}</ElButton>
      </form>
      <Notice v-if="failure" bad>{{ failure }}</Notice>
    </section>
    <section class="card">
      <h2><span class="n">2</span> {{ say('whatIsOnTheShelves') }}</h2>
      <p>
        {{ say('walkAlongWithAPad') }}
      </p>
      <div class="row">
        <RouterLink class="el-button el-button--primary" to="/shelf">{{ say('writeItDown') }}</RouterLink>
        <span v-if="onShelf" class="good">✓ {{ lines(onShelf) }}</span>
      </div>
    </section>
    <section class="card">
      <h2><span class="n">3</span> {{ say('whatHangsOrLiesTo') }}</h2>
      <p>
        {{ say('broughtInAsAHarvest') }}
      </p>
      <div class="row">
        <RouterLink class="el-button" to="/bring-in">{{ say('bringItIn') }}</RouterLink>
        <span v-if="hangs" class="good">✓ {{ lines(hangs) }}</span>
      </div>
    </section>
    <section class="card">
      <h2><span class="n">4</span> {{ say('whatStillStandsInThe') }}</h2>
      <p>{{ say('theNextLookComesAs') }}</p>
      <RouterLink class="el-button" to="/beds">{{ say('inTheBeds') }}</RouterLink>
    </section>
    <section class="card">
      <h2><span class="n">5</span> {{ say('yourFirstRound') }}</h2>
      <p>
        {{ say('whatNeedsYouPlaceBy') }}
      </p>
      <RouterLink class="el-button el-button--primary" to="/">{{ say('toTodaysRound') }}</RouterLink>
    </section>
  </div>
</template>

<style scoped>
.first {
  max-width: 900px;
}
.n {
  display: inline-grid;
  place-items: center;
  width: 30px;
  height: 30px;
  margin-right: var(--s-6);
  border-radius: 50%;
  background: var(--accent);
  color: var(--on-accent);
  font-size: var(--t-text);
}
.has {
  display: inline-block;
  margin-right: var(--s-16);
}
.choice .soft {
  display: block;
  font-weight: 400;
}
.name {
  width: 240px;
}
</style>
