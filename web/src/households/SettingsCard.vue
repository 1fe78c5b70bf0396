<script setup lang="ts">
import { changeSettings, type Settings } from '@vadose/contract/households'
import { write } from '../view'
import { ElButton, ElInput } from 'element-plus'
import { ref, watch } from 'vue'
import { ApiError } from '../call'
import { Choices } from '../kit'
import { useFrame } from './frame'

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
    <h2>Scale and thermometer</h2>
    <Choices
      label="Units"
      :model-value="frame.frame?.household.units"
      :options="[
        { id: 'metric', label: 'Kilograms and °C' },
        { id: 'us', label: 'Pounds and °F' },
      ]"
      @update:model-value="$event && keep({ units: $event }, 'Every screen reads so now.')"
    />
    <h2>Whom to ask about food safety</h2>
    <form class="row" @submit.prevent="keep({ authorityName: name, authorityUrl: url }, 'Kept.')">
      <label class="field">Name <ElInput v-model="name" maxlength="120" placeholder="your local authority" /></label>
      <label class="field">Address <ElInput v-model="url" maxlength="300" class="url" placeholder="https://…" /></label>
      <ElButton native-type="submit">Keep</ElButton>
    </form>
    <p class="soft">It is linked beside every caution. Leave the address empty to take it away.</p>
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
