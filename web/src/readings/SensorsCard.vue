<script setup lang="ts">
import { namedPlaces } from '../places'
import { Field, Notice, Pick } from '../kit'
import { useView, write } from '../view'
import type { PlaceView } from '@vadose/contract/places'
import { addSensor, listSensors, removeSensor, type SensorMade } from '@vadose/contract/readings'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { useAttempt } from '../households'
import { say } from './say'

defineProps<{ places: PlaceView[] }>()
const { answer: sensors } = useView(listSensors)
const real = computed(() => (sensors.value ?? []).filter((s) => !s.simulated))
const simulated = computed(() => (sensors.value ?? []).filter((s) => s.simulated).map((s) => s.place.toLowerCase()))
const name = ref('')
const placeId = ref('')
const made = ref<SensorMade>()
const { attempt, failure } = useAttempt()
const address = `${location.origin}/api/ingest`

const add = (first: string) =>
  attempt(async () => {
    made.value = await write(addSensor, { body: { name: name.value.trim(), placeId: placeId.value || first } })
    name.value = ''
  })
const drop = (id: string) =>
  attempt(async () => {
    await write(removeSensor, { params: { id } })
    if (made.value?.id === id) made.value = undefined
  })
const example = (token: string) =>
  `curl ${address} -H 'Authorization: Bearer ${token}' -H 'Content-Type: application/json' -d '{"readings":[{"at":"${new Date().toISOString().slice(0, 19)}Z","temperatureC":9.5,"relativeHumidityPct":88}]}'`
</script>

<template>
  <section class="card stack">
    <h2>{{ say('sensorsThatSendByThemselves') }}</h2>
    <p v-if="simulated.length" class="soft">{{ say('simulatedEveryHour', { simulated: simulated.join(', ') }) }}</p>
    <ul class="rows">
      <li v-for="s in real" :key="s.id" class="row">
        <strong>{{ s.name }}</strong> <span>in {{ s.place.toLowerCase() }}</span>
        <span class="soft">{{
          s.lastAt ? say('lastHeardUtc', { lastAt: s.lastAt.slice(0, 16).replace('T', ' ') }) : say('notHeardYet')
        }}</span>
        <ElButton v-if="!s.simulated" :aria-label="say('turnAway', { name: s.name })" @click="drop(s.id)">{{
          say('turnAway2')
        }}</ElButton>
      </li>
    </ul>
    <form class="row" @submit.prevent="add(places[0]?.id ?? '')">
      <Field :label="say('name')"><ElInput v-model="name" maxlength="40" :aria-label="say('nameOfTheSensor')" /></Field>
      <Field :label="say('hangsIn')"
        ><Pick
          v-model="placeId"
          :label="say('placeOfTheSensor')"
          :placeholder="say('choose')"
          :options="namedPlaces(places)"
      /></Field>
      <ElButton native-type="submit" :disabled="!name.trim() || !placeId">{{ say('letItIn') }}</ElButton>
    </form>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
    <Notice v-if="made" good>
      <p>
        {{ say('itsTokenShownThisOnce') }} <code class="token">{{ made.token }}</code>
      </p>
      <p>{{ say('itSendsBatchesOfUp') }}</p>
      <pre tabindex="0">{{ example(made.token) }}</pre>
    </Notice>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  padding: var(--s-6) 0;
}
pre {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  font-size: var(--t-small);
  margin: var(--s-6) 0 0;
}
.token {
  overflow-wrap: anywhere;
  font-weight: 600;
}
form {
  align-items: end;
}
</style>
