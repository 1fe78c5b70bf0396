<script setup lang="ts">
import { write } from '../view'
import { startHousehold, type NewHousehold } from '@vadose/contract/households'
import { isCivilDate } from '@vadose/core/households'
import { Choices, DayField } from '../kit'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { say } from './say'

/** A household of one's own: by the real clock, or by one that is moved by hand. */
const emit = defineEmits<{ started: [address: string] }>()
const name = ref('')
const clock = ref<'real' | 'practice'>('real')
const startsOn = ref('')
const latitude = ref('')
const height = ref('')
const failure = ref('')

/** A typed number within bounds; undefined where nothing is typed, null where it is none. */
function within(text: string, lo: number, hi: number): number | undefined | null {
  if (text.trim() === '') return undefined
  const value = Number(text.trim().replace('−', '-').replace(',', '.'))
  return Number.isFinite(value) && value >= lo && value <= hi ? value : null
}
const latitudeDeg = computed(() => within(latitude.value, -66, 66))
const altitudeM = computed(() => within(height.value, -100, 3000))
const ready = computed(
  () =>
    name.value.trim() !== '' &&
    (clock.value === 'real' || isCivilDate(startsOn.value)) &&
    latitudeDeg.value !== null &&
    altitudeM.value !== null,
)
async function start() {
  failure.value = ''
  const wanted: NewHousehold = {
    name: name.value.trim(),
    clock: clock.value,
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    // changed at any time under Household
    ...(navigator.language === 'en-US' ? { language: 'en-US', units: 'us' } : {}),
    ...(clock.value === 'practice' ? { startsOn: startsOn.value } : {}),
    ...(typeof latitudeDeg.value === 'number' ? { latitudeDeg: latitudeDeg.value } : {}),
    ...(typeof altitudeM.value === 'number' ? { altitudeM: altitudeM.value } : {}),
  }
  try {
    const { address } = await write(startHousehold, { body: wanted })
    emit('started', address)
  } catch (error) {
    failure.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <form class="card form" @submit.prevent="start">
    <h2>{{ say('startAHousehold') }}</h2>
    <label class="field"
      >{{ say('itsName') }} <ElInput v-model="name" maxlength="60" :placeholder="say('whatYouCallThePlace')"
    /></label>
    <Choices
      v-model="clock"
      :label="say('clock')"
      :options="[
        { id: 'real', label: say('theRealClock'), detail: say('forYourOwnHarvest') },
        {
          id: 'practice',
          label: say('aPracticeClock'),
          detail: say('youMoveItOnYourself'),
        },
      ]"
    />
    <label v-if="clock === 'practice'" class="field">
      {{ say('firstDay') }}
      <DayField v-model="startsOn" :label="say('firstDay')" :placeholder="say('chooseADay')" />
    </label>
    <div class="row">
      <label class="field"
        >{{ say('latitude') }}
        <ElInput
          v-model="latitude"
          class="short"
          inputmode="text"
          placeholder="47"
          :aria-label="say('latitudeDegrees')"
      /></label>
      <label class="field"
        >{{ say('heightAboveTheSeaM') }}
        <ElInput
          v-model="height"
          class="short"
          inputmode="numeric"
          placeholder="200"
          :aria-label="say('heightAboveTheSeaMetres')"
      /></label>
    </div>
    <p class="soft">{{ say('forTheSeasonsAndThe') }}</p>
    <p v-if="latitudeDeg === null" class="bad">{{ say('typeDegreesBetweenAnd') }}</p>
    <p v-if="altitudeM === null" class="bad">{{ say('typeMetresBetweenAnd') }}</p>
    <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>
    <div>
      <ElButton type="primary" native-type="submit" :disabled="!ready">{{ say('startIt') }}</ElButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}
.short {
  width: 120px;
}
</style>
