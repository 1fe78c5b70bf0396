<script setup lang="ts">
import { write } from '../view'
import { startHousehold, type NewHousehold } from '@vadose/contract/households'
import { isCivilDate } from '@vadose/core/households'
import { Amount, Choices, DayField, Field, Form, type Rules } from '../kit'
import { ElButton, ElInput } from 'element-plus'
import { reactive } from 'vue'
import { useAttempt } from './attempt'
import { say } from './say'

/** A household of one's own: by the real clock, or by one that is moved by hand. */
const emit = defineEmits<{ started: [address: string] }>()
const typed = reactive({
  name: '',
  clock: 'real' as NewHousehold['clock'] | undefined,
  startsOn: '',
  latitudeDeg: '',
  altitudeM: '',
})
const { attempt, refusal, busy } = useAttempt()

/** A typed number within bounds; undefined where nothing is typed, null where it is none. */
function within(text: string, lo: number, hi: number): number | undefined | null {
  if (text.trim() === '') return undefined
  const value = Number(text.trim().replace('−', '-').replace(',', '.'))
  return Number.isFinite(value) && value >= lo && value <= hi ? value : null
}
const latitudeDeg = () => within(typed.latitudeDeg, -66, 66)
const altitudeM = () => within(typed.altitudeM, -100, 3000)
const rules: Rules<typeof typed> = {
  name: ({ name }) => (name.trim() ? undefined : say('itWantsAName')),
  startsOn: ({ clock, startsOn }) => (clock === 'real' || isCivilDate(startsOn) ? undefined : say('chooseADay')),
  latitudeDeg: () => (latitudeDeg() === null ? say('typeDegreesBetweenAnd') : undefined),
  altitudeM: () => (altitudeM() === null ? say('typeMetresBetweenAnd') : undefined),
}
const start = () =>
  attempt(async () => {
    const latitude = latitudeDeg()
    const height = altitudeM()
    const { address } = await write(startHousehold, {
      body: {
        name: typed.name.trim(),
        clock: typed.clock ?? 'real',
        timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
        // changed at any time under Household
        ...(navigator.language === 'en-US' ? { language: 'en-US', units: 'us' } : {}),
        ...(typed.clock === 'practice' ? { startsOn: typed.startsOn } : {}),
        ...(typeof latitude === 'number' ? { latitudeDeg: latitude } : {}),
        ...(typeof height === 'number' ? { altitudeM: height } : {}),
      },
    })
    emit('started', address)
  })
</script>

<template>
  <Form class="card stack" :model="typed" :rules="rules" :refused="refusal" @keep="start">
    <h2>{{ say('startAHousehold') }}</h2>
    <Field name="name" :label="say('itsName')">
      <ElInput v-model="typed.name" maxlength="60" :placeholder="say('whatYouCallThePlace')" />
    </Field>
    <Choices
      v-model="typed.clock"
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
    <Field v-if="typed.clock === 'practice'" name="startsOn" :label="say('firstDay')">
      <DayField v-model="typed.startsOn" :label="say('firstDay')" :placeholder="say('chooseADay')" />
    </Field>
    <div class="row fields">
      <Amount
        v-model="typed.latitudeDeg"
        name="latitudeDeg"
        below
        :label="say('latitude')"
        :says="say('latitudeDegrees')"
        unit="°"
        placeholder="47"
      />
      <Amount
        v-model="typed.altitudeM"
        name="altitudeM"
        below
        :step="50"
        :label="say('heightAboveTheSeaM')"
        :says="say('heightAboveTheSeaMetres')"
        unit="m"
        placeholder="200"
      />
    </div>
    <p class="soft">{{ say('forTheSeasonsAndThe') }}</p>
    <div>
      <ElButton type="primary" native-type="submit" :disabled="busy">{{ say('startIt') }}</ElButton>
    </div>
  </Form>
</template>

<style scoped>
.fields {
  align-items: start;
}
</style>
