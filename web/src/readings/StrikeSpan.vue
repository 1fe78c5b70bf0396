<script setup lang="ts">
import type { PlaceView } from '@vadose/contract/places'
import { strikeReadings } from '@vadose/contract/readings'
import { ElButton } from 'element-plus'
import { ref } from 'vue'
import type { ApiError } from '../call'
import { longDate, refused, useFrame } from '../households'
import { DayField, Choices } from '../kit'
import { placeOptions } from '../places'
import { write } from '../view'

/** A sensor that lay in the sun: what it said from one day to another counts no longer, and can count again. */
defineProps<{ places: PlaceView[] }>()
const frame = useFrame()
const place = ref<string>()
const from = ref(frame.today)
const to = ref(frame.today)
const done = ref('')
const busy = ref(false)
const refusal = ref<ApiError>()
async function strike(struck: boolean) {
  if (!place.value || busy.value) return
  busy.value = true
  done.value = ''
  refusal.value = undefined
  try {
    const { readings } = await write(strikeReadings, {
      params: { id: place.value },
      body: { from: from.value, to: to.value, struck },
    })
    const span = `${longDate(from.value)} – ${longDate(to.value)}`
    done.value = `${readings.toLocaleString('en-GB')} readings of ${span} ${struck ? 'count no longer' : 'count again'}.`
  } catch (error) {
    refusal.value = refused(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="card stack">
    <h2>Strike out a span</h2>
    <p class="soft">
      The sun was on it, or it lay on the table: what it said then counts no longer. Nothing is erased.
    </p>
    <Choices v-model="place" label="Place whose readings are wrong" :options="placeOptions(places)" />
    <div class="row">
      <label class="field">From <DayField v-model="from" label="Struck from" :until="frame.today" /></label>
      <label class="field">to the end of <DayField v-model="to" label="Struck to" :until="frame.today" /></label>
      <ElButton :disabled="!place || busy" @click="strike(true)">Strike them out</ElButton>
      <ElButton :disabled="!place || busy" @click="strike(false)">Let them count again</ElButton>
    </div>
    <p v-if="done" class="notice" role="status">{{ done }}</p>
    <p v-if="refusal" class="bad" role="alert">{{ refusal.message }}</p>
  </section>
</template>
