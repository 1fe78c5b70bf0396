<script setup lang="ts">
import { addPlace, listRetiredPlaces, retirePlace, type PlaceView } from '@vadose/contract/places'
import { placeKinds, type PlaceKind } from '@vadose/core/places'
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import { humidity, longDate, temperature, useAttempt } from '../households'
import { Choices, Notice } from '../kit'
import { useView, write } from '../view'
import PlaceRight from './PlaceRight.vue'
import { say } from './say'
import { sayWord, sayProse } from '../voice'

/** The places of the house with their air: added to, put right, divided, joined, taken out of use. */
defineProps<{ places: PlaceView[] }>()
const { answer: retired } = useView(listRetiredPlaces)
const { attempt, failure, busy } = useAttempt()
const name = ref('')
const kind = ref<PlaceKind | undefined>('cool-room')
const kinds = (Object.keys(placeKinds) as PlaceKind[]).map((id) => ({
  id,
  label: sayWord(placeKinds[id].label),
  detail: sayProse(placeKinds[id].winter),
}))
const righting = ref<string>()
const add = async () => {
  const body = { name: name.value.trim(), kind: kind.value ?? 'cool-room' }
  if (await attempt(() => write(addPlace, { body }))) name.value = ''
}
const back = (id: string) => attempt(() => write(retirePlace, { params: { id }, body: { retired: false } }))
</script>

<template>
  <section class="card">
    <h2>{{ say('places') }}</h2>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
    <ul class="plain">
      <li v-for="p in places" :key="p.id" :class="{ part: p.within }">
        <strong>{{ p.name }}</strong> <span class="soft">{{ sayWord(placeKinds[p.kind].label).toLowerCase() }}</span>
        <span v-if="p.air.temperatureC !== null">
          · {{ temperature(p.air.temperatureC) }} · {{ humidity(p.air.relativeHumidityPct ?? 0) }}</span
        >
        <span v-else class="soft">{{ say('neverMeasured') }}</span>
        <ElButton
          size="small"
          :aria-label="say('putRight2', { name: p.name })"
          :aria-expanded="righting === p.id"
          @click="righting = righting === p.id ? undefined : p.id"
          >{{ say('putRight') }}</ElButton
        >
        <PlaceRight v-if="righting === p.id" :place="p" :places="places" :kinds="kinds" @done="righting = undefined" />
      </li>
    </ul>
    <form class="stack" @submit.prevent="add">
      <ElInput
        v-model="name"
        class="name"
        maxlength="40"
        :aria-label="say('nameOfANewPlace')"
        :placeholder="say('anotherPlace')"
      />
      <Choices v-if="name.trim()" v-model="kind" :label="say('kindOfPlace')" :options="kinds" />
      <div>
        <ElButton native-type="submit" :disabled="!name.trim() || busy">{{ say('addIt') }}</ElButton>
      </div>
    </form>
    <ul v-if="retired?.length" class="plain" :aria-label="say('outOfUse')">
      <li v-for="p in retired" :key="p.id">
        <span class="soft">{{ say('outOfUseSince', { name: p.name, retiredOn: longDate(p.retiredOn) }) }}</span>
        <ElButton size="small" :disabled="busy" :aria-label="say('useAgain', { name: p.name })" @click="back(p.id)">{{
          say('useItAgain')
        }}</ElButton>
      </li>
    </ul>
    <p class="more">
      <RouterLink class="el-button" to="/readings">{{ say('loggerFilesAndSensors') }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.plain {
  list-style: none;
  margin: var(--s-8) 0;
  padding: 0;
  display: grid;
  gap: var(--s-6);
}
.part {
  margin-left: var(--s-16);
  padding-left: var(--s-8);
  border-left: 3px solid var(--line);
}
li > .el-button {
  margin-left: var(--s-8);
}
.more {
  margin-top: var(--s-12);
}
.name {
  width: 220px;
}
</style>
