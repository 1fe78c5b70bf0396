<script setup lang="ts">
import { changeSettings, type Settings } from '@vadose/contract/households'
import { write } from '../view'
import { ElButton, ElInput } from 'element-plus'
import { ref, watch } from 'vue'
import { ApiError } from '../call'
import { Choices } from '../kit'
import { useFrame } from './frame'
import { say } from './say'

const frame = useFrame()
const name = ref('')
const url = ref('')
const failure = ref('')
const kept = ref('')
watch(
  () => frame.frame?.household.authority,
  (authority) => {
    name.value = authority?.name ?? ''
    url.value = authority?.url ?? ''
  },
  { immediate: true },
)

async function keep(settings: Settings, says: string) {
  failure.value = ''
  kept.value = ''
  try {
    await write(changeSettings, { body: settings })
    kept.value = says
  } catch (error) {
    failure.value = error instanceof ApiError ? error.message : String(error)
  }
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
      <label class="field"
        >{{ say('name') }} <ElInput v-model="name" maxlength="120" :placeholder="say('yourLocalAuthority')"
      /></label>
      <label class="field"
        >{{ say('address') }} <ElInput v-model="url" maxlength="300" class="url" :placeholder="say('https')"
      /></label>
      <ElButton native-type="submit">{{ say('keep') }}</ElButton>
    </form>
    <p class="soft">{{ say('itIsLinkedBesideEvery') }}</p>
    <p v-if="kept" class="good" role="status">{{ kept }}</p>
    <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>
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
