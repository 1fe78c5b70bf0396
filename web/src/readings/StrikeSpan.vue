<script setup lang="ts">
import type { PlaceView } from '@vadose/contract/places'
import { strikeReadings } from '@vadose/contract/readings'
import { ElButton } from 'element-plus'
import { ref } from 'vue'
import type { ApiError } from '../call'
import { longDate, refused, useFrame } from '../households'
import { Choices, DayField, Field, Notice } from '../kit'
import { placeOptions } from '../places'
import { write } from '../view'
import { say } from './say'

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
    done.value = say('readingsOfCountNoLonger', {
      readings: readings.toLocaleString('en-GB'),
      span,
      struck: struck ? 'yes' : 'no',
    })
  } catch (error) {
    refusal.value = refused(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="card stack">
    <h2>{{ say('strikeOutASpan') }}</h2>
    <p class="soft">
      {{ say('theSunWasOnIt') }}
    </p>
    <Choices v-model="place" :label="say('placeWhoseReadingsAreWrong')" :options="placeOptions(places)" />
    <div class="row">
      <Field :label="say('from2')"><DayField v-model="from" :label="say('struckFrom')" :until="frame.today" /></Field>
      <Field :label="say('toTheEndOf')"><DayField v-model="to" :label="say('struckTo')" :until="frame.today" /></Field>
      <ElButton :disabled="!place || busy" @click="strike(true)">{{ say('strikeThemOut') }}</ElButton>
      <ElButton :disabled="!place || busy" @click="strike(false)">{{ say('letThemCountAgain') }}</ElButton>
    </div>
    <Notice v-if="done">{{ done }}</Notice>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
  </section>
</template>
