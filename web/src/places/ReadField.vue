<script setup lang="ts">
import { addReading } from '@vadose/contract/places'
import { write } from '../view'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { degree, toCelsius, useAttempt } from '../households'
import { say } from './say'
import { Notice } from '../kit'

/** A reading by hand: what the thermometer and the hygrometer of a place show. */
const props = defineProps<{ placeId: string; placeName?: string | undefined }>()
const celsius = ref('')
const percent = ref('')
const { attempt, failure, busy } = useAttempt()
const number = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('−', '-')))
const readable = computed(() => Number.isFinite(number(celsius.value)) && Number.isFinite(number(percent.value)))
const where = computed(() => (props.placeName ? ` in ${props.placeName.toLowerCase()}` : ''))

async function keep() {
  const body = { temperatureC: toCelsius(number(celsius.value)), relativeHumidityPct: number(percent.value) }
  if (!(await attempt(() => write(addReading, { params: { id: props.placeId }, body })))) return
  celsius.value = ''
  percent.value = ''
}
</script>

<template>
  <form class="row" @submit.prevent="keep">
    <ElInput
      v-model="celsius"
      class="short"
      inputmode="decimal"
      :aria-label="say('temperature', { where, degree: degree() })"
    >
      <template #suffix>{{ degree() }}</template>
    </ElInput>
    <ElInput v-model="percent" class="short" inputmode="decimal" :aria-label="say('humidity', { where })">
      <template #suffix>%</template>
    </ElInput>
    <ElButton native-type="submit" :disabled="!readable || busy">{{ say('keep') }}</ElButton>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
  </form>
</template>

<style scoped>
.short {
  width: 86px;
}
</style>
