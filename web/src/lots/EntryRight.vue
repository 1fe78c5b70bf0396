<script setup lang="ts">
import type { LotEventView, LotRow } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { restatable, type EventKind, type Restatement } from '@vadose/core/lots'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { lotCrop } from '../almanac'
import { gramsFrom, isUs, smallUnit, useFrame } from '../households'
import { Amount, Choices, DayField, Field, Notice, WeightField } from '../kit'
import { placeOptions } from '../places'
import { useView } from '../view'
import { usePutRight } from './put-right'
import { sayFact } from '../voice'
import { say } from './say'

/** One entry of a lot's ledger, struck out or told otherwise; either with a reason. */
const props = defineProps<{ lot: LotRow; entry: LotEventView }>()
const emit = defineEmits<{ done: [] }>()
const frame = useFrame()
const can = computed(() => restatable[props.entry.kind as EventKind] ?? [])
const crop = computed(() => lotCrop(props.lot))
const { answer: places } = useView(listPlaces)
const on = ref(props.entry.on)
const weightText = ref('')
const pieces = ref('')
const place = ref<string>()
const text = ref('')
const cause = ref<string>()
const reasons = [say('typedWrong'), say('wrongLot'), say('itNeverHappened'), say('anotherDay')] as const
const reason = ref<(typeof reasons)[number] | undefined>(say('typedWrong'))
const own = ref('')
const why = computed(() => own.value.trim() || (reason.value ?? ''))
const grams = computed(() => gramsFrom(weightText.value))
const count = computed(() => (/^\s*\d+\s*$/.test(pieces.value) ? Number(pieces.value) : null))
const instead = computed((): Restatement => ({
  ...(can.value.includes('on') && on.value !== props.entry.on ? { on: on.value } : {}),
  ...(grams.value !== null ? { weightG: grams.value } : {}),
  ...(count.value !== null ? { pieces: count.value } : {}),
  ...(place.value ? { placeId: place.value } : {}),
  ...(text.value.trim() ? { text: text.value.trim() } : {}),
  ...(cause.value ? { cause: cause.value } : {}),
}))
const says = computed(() => Object.keys(instead.value).length > 0)
const { strike, restate, refusal, busy } = usePutRight()
async function strikeOut() {
  if (await strike(props.lot.code, props.entry.id, why.value)) emit('done')
}
async function tell() {
  if (await restate(props.lot.code, props.entry.id, why.value, instead.value)) emit('done')
}
</script>

<template>
  <form class="right" :aria-label="say('putRight', { says: sayFact(entry.says) })" @submit.prevent="says && tell()">
    <div v-if="can.length" class="row fields">
      <WeightField
        v-if="can.includes('weightG')"
        v-model="weightText"
        :label="say('itWeighed')"
        :says="say('itWeighedOunces', { isUs: isUs() ? 'yes' : 'no' })"
        :unit="smallUnit()"
      />
      <Amount
        v-if="can.includes('pieces')"
        v-model="pieces"
        whole
        :label="say('count')"
        :says="say('numberOf', { many: crop.piece.many })"
      />
      <Field v-if="can.includes('on')" :label="say('day')"
        ><DayField v-model="on" class="date" :label="say('theDayItHappened')" :until="frame.today"
      /></Field>
      <Field v-if="can.includes('text')" class="grow" :label="say('note')"
        ><ElInput v-model="text" :placeholder="sayFact(entry.says)" maxlength="500" :aria-label="say('theNote')"
      /></Field>
    </div>
    <Choices
      v-if="can.includes('placeId')"
      v-model="place"
      :label="say('place')"
      :options="placeOptions(places ?? [])"
    />
    <Choices
      v-if="can.includes('cause')"
      v-model="cause"
      :label="say('whatItWas')"
      :options="crop.faults.map((f) => ({ id: f.label, label: f.label }))"
    />
    <Choices v-model="reason" :label="say('why')" :options="reasons.map((one) => ({ id: one, label: one }))" />
    <ElInput
      v-model="own"
      :placeholder="say('orInYourOwnWords')"
      maxlength="200"
      :aria-label="say('whyInYourOwnWords')"
    />
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    <p class="row">
      <ElButton v-if="can.length" type="primary" native-type="submit" :disabled="!says || !why || busy">{{
        say('putRight2')
      }}</ElButton>
      <ElButton :disabled="!why || busy" @click="strikeOut">{{ say('strikeOut') }}</ElButton>
      <ElButton @click="emit('done')">{{ say('leaveIt') }}</ElButton>
    </p>
  </form>
</template>

<style scoped>
.right {
  display: grid;
  gap: var(--s-12);
  padding: var(--s-8) 0;
}
.fields {
  align-items: end;
  margin: 0;
}
.grow {
  flex: 1;
}
</style>
