<script setup lang="ts">
import { changeSettings, type Settings } from '@vadose/contract/households'
import { write } from '../view'
import { ElButton, ElInput } from 'element-plus'
import { ref, watch } from 'vue'
import { Choices, Field, message, Notice } from '../kit'
import { useAttempt } from './attempt'
import { useFrame } from './frame'
import { say } from './say'

const frame = useFrame()
const name = ref('')
const url = ref('')
const { attempt, failure } = useAttempt()
watch(
  () => frame.frame?.household.authority,
  (authority) => {
    name.value = authority?.name ?? ''
    url.value = authority?.url ?? ''
  },
  { immediate: true },
)

async function keep(settings: Settings, says: string) {
  if (await attempt(() => write(changeSettings, { body: settings }))) message(says)
}
</script>

<template>
  <section class="card stack">
    <h2>{{ say('scaleAndThermometer') }}</h2>
    <Choices
      :label="say('units')"
      :model-value="frame.frame?.household.units"
      :options="[
        { id: 'metric', label: say('kilogramsAndC') },
        { id: 'us', label: say('poundsAndF') },
      ]"
      @update:model-value="$event && keep({ units: $event }, say('everyScreenReadsSo'))"
    />
    <h2>{{ say('english') }}</h2>
    <Choices
      :label="say('english')"
      :model-value="frame.frame?.household.language"
      :options="[
        { id: 'en-GB', label: say('asInBritain'), detail: say('courgettesInAutumn') },
        { id: 'en-US', label: say('asInAmerica'), detail: say('zucchiniInTheFall') },
      ]"
      @update:model-value="$event && keep({ language: $event }, say('everyScreenReadsSo'))"
    />
    <h2>{{ say('whomToAskAboutFood') }}</h2>
    <form class="row" @submit.prevent="keep({ authorityName: name, authorityUrl: url }, say('kept'))">
      <Field :label="say('name')"
        ><ElInput v-model="name" maxlength="120" :placeholder="say('yourLocalAuthority')"
      /></Field>
      <Field :label="say('address')"
        ><ElInput v-model="url" maxlength="300" class="url" :placeholder="say('https')"
      /></Field>
      <ElButton native-type="submit">{{ say('keep') }}</ElButton>
    </form>
    <p class="soft">{{ say('itIsLinkedBesideEvery') }}</p>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
  </section>
</template>

<style scoped>
.url {
  width: 300px;
  max-width: 100%;
}
form {
  align-items: end;
}
</style>
