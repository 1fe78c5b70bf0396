<script setup lang="ts">
import { scapeTurnSteps, signSteps } from '@vadose/core/beds'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropOf } from '../almanac'
import { useFrame } from '../households'
import { Amount, Choices, DayField, Notice } from '../kit'
import { useWriteDown, type AtBed, type Seen } from './write-down'
import { say } from './say'

/** What can be seen and done at a bed: one tap writes it down. */
const props = defineProps<{ at: AtBed; planted: boolean }>()
const emit = defineEmits<{ kept: [] }>()
const frame = useFrame()
const { writeDown, failure, busy } = useWriteDown()
const crop = computed(() => cropOf(props.at.crop))
const look = computed(() => crop.value.readiness)
const on = ref(frame.today)
const day = computed(() => on.value || frame.today)
const steps = computed(() => signSteps(crop.value).map(({ value, label }) => ({ id: String(value), label })))
const turns = scapeTurnSteps.map(({ value, label }) => ({ id: String(value), label }))
const outcomes = computed(() => (look.value?.tryOne?.outcomes ?? []).map(({ label }, i) => ({ id: String(i), label })))
const topsFall = computed(() => crop.value.group === 'allium' && /tops/i.test(look.value?.question ?? ''))
const driesOff = computed(() => crop.value.curing?.clock === 'drying-power')
const planting = ref(false)
const pieces = ref('')
const count = computed(() => (/^\s*\d+\s*$/.test(pieces.value) ? Number(pieces.value) : null))

async function keep(seen: Seen) {
  const done = await writeDown(props.at, { ...seen, ...(day.value === frame.today ? {} : { on: day.value }) })
  if (!done) return
  planting.value = false
  emit('kept')
}
</script>

<template>
  <div class="look stack" :aria-busy="busy">
    <template v-if="look && steps.length">
      <h4>{{ look.question }}</h4>
      <Choices
        :model-value="undefined"
        :label="look.question"
        :options="steps"
        @update:model-value="keep({ what: 'sign', value: Number($event) })"
      />
    </template>
    <template v-if="look?.scapeDays">
      <h4>{{ say('howFarHaveTheScapes') }}</h4>
      <Choices
        :model-value="undefined"
        :label="say('turnsOfTheScapes')"
        :options="turns"
        @update:model-value="keep({ what: 'scapes', value: Number($event) })"
      />
    </template>
    <template v-if="look?.tryOne">
      <h4>{{ look.tryOne.what }}</h4>
      <Choices
        :model-value="undefined"
        :label="look.tryOne.what"
        :options="outcomes"
        @update:model-value="keep({ what: 'tried', value: Number($event) })"
      />
    </template>
    <div class="row done" role="group" :aria-label="say('doneAtTheBed')">
      <ElButton v-if="look?.scapeDays" :disabled="busy" @click="keep({ what: 'scapes-cut' })">{{
        say('scapesCut')
      }}</ElButton>
      <ElButton v-if="driesOff" :disabled="busy" @click="keep({ what: 'unwatered' })">{{
        say('wateringEnded')
      }}</ElButton>
      <ElButton v-if="at.growsIn !== 'bed'" :disabled="busy" @click="keep({ what: 'watered' })">{{
        say('watered')
      }}</ElButton>
      <ElButton v-if="topsFall" :disabled="busy" @click="keep({ what: 'tops-bent' })">{{
        say('topsBentOver')
      }}</ElButton>
      <ElButton v-if="!planted" :aria-expanded="planting" :disabled="busy" @click="planting = !planting">{{
        say('planted')
      }}</ElButton>
      <ElButton :disabled="busy" @click="keep({ what: 'cleared' })">{{ say('bedCleared') }}</ElButton>
      <label class="day"
        ><span class="soft">{{ say('seenOn') }}</span>
        <DayField v-model="on" :label="say('seenOn2')" :until="frame.today"
      /></label>
    </div>
    <form v-if="planting" class="row" @submit.prevent="keep({ what: 'planted', ...(count ? { pieces: count } : {}) })">
      <Amount
        v-model="pieces"
        bare
        whole
        :label="say('howManyPlanted', { many: crop.piece.many })"
        :placeholder="say('howMany')"
      />
      <ElButton type="primary" native-type="submit" :disabled="busy || (pieces.trim() !== '' && !count)">{{
        say('plantedOnThatDay')
      }}</ElButton>
    </form>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
  </div>
</template>

<style scoped>
.look {
  gap: var(--s-8);
}
h4 {
  margin: var(--s-4) 0 0;
  font: 600 var(--t-note) var(--font);
}
.look :deep(.choices) {
  gap: var(--s-6);
}
.look :deep(.choice) {
  min-width: 44px;
  padding: var(--s-8) var(--s-8);
  text-align: center;
}
.done {
  margin-top: var(--s-4);
}
.day {
  display: flex;
  align-items: center;
  gap: var(--s-8);
}
.day :deep(.el-date-editor) {
  width: 150px;
}
</style>
