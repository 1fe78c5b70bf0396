<script setup lang="ts">
import { useView, write } from '../view'
import { addPick, listPicks, type IntakeMemory } from '@vadose/contract/intake'
import { addDays, mondayOf } from '@vadose/core/households'
import { Notice, Pick } from '../kit'
import { ElButton, ElInput } from 'element-plus'
import { computed, nextTick, ref } from 'vue'
import type { ApiError } from '../call'
import { allCrops, cropColour, cropOf } from '../almanac'
import { gramsFrom, largeUnit, refused, shortDate, useFrame, weight } from '../households'
import { say } from './say'

/** What is picked day by day: one tap, one weight; it adds up by crop and week. */
const props = defineProps<{ memory: IntakeMemory[] }>()
const frame = useFrame()
const { answer: picked } = useView(listPicks)
const daily = (id: string) => {
  const heap = cropOf(id).heaps[0]
  return heap?.id === 'sound' && heap.fate === 'eat-first' && !heap.hangs
}
const fresh = computed(() => allCrops().filter((c) => daily(c.id)))
const before = computed(() => props.memory.map((m) => m.crop).filter(daily))
const chosen = ref('')
const text = ref('')
const field = ref<InstanceType<typeof ElInput>>()
const done = ref('')
const failure = ref<ApiError>()
const busy = ref(false)
const grams = computed(() => gramsFrom(text.value, 'kg'))

async function choose(id: string) {
  chosen.value = chosen.value === id ? '' : id
  done.value = ''
  await nextTick()
  field.value?.focus()
}
async function keep(sure = false) {
  if (!grams.value || busy.value) return
  busy.value = true
  failure.value = undefined
  try {
    const { lots } = await write(addPick, {
      body: { crop: chosen.value, weightG: grams.value, ...(sure ? { sure } : {}) },
    })
    done.value = say('ofPutTo', {
      grams: weight(grams.value),
      plural: cropOf(chosen.value).plural,
      code: lots[0]!.code,
    })
    text.value = ''
    chosen.value = ''
  } catch (error) {
    failure.value = refused(error)
  } finally {
    busy.value = false
  }
}
const weeksShown = 10
const thisMonday = computed(() => (frame.today ? mondayOf(frame.today) : ''))
const sums = computed(() =>
  (picked.value ?? [])
    .filter((p) => daily(p.crop))
    .map((p) => {
      const weeks = Array.from({ length: weeksShown }, (_, i) => {
        const from = addDays(thisMonday.value, -7 * (weeksShown - 1 - i))
        return { from, weightG: p.weeks.find((w) => w.from === from)?.weightG ?? 0 }
      })
      return { ...p, weeks, most: Math.max(1, ...weeks.map((w) => w.weightG)), now: weeks.at(-1)!.weightG }
    }),
)
</script>

<template>
  <section class="card stack" :aria-label="say('dailyPick')">
    <h2>{{ say('dailyPick') }}</h2>
    <div class="row">
      <button
        v-for="id in before"
        :key="id"
        type="button"
        class="choice crop"
        :aria-pressed="chosen === id"
        :style="{ '--crop': cropColour(id) }"
        @click="choose(id)"
      >
        {{ cropOf(id).name }}
      </button>
      <Pick
        class="another"
        :model-value="before.includes(chosen) || !chosen ? undefined : chosen"
        :label="say('anotherCropPicked')"
        :placeholder="before.length ? say('another') : say('whatWasPicked')"
        :options="fresh.map(({ id, name }) => ({ id, label: name }))"
        find
        @update:model-value="$event && choose($event)"
      />
      <form v-if="chosen" class="row" @submit.prevent="keep()">
        <ElInput
          ref="field"
          v-model="text"
          class="kilos"
          inputmode="decimal"
          :aria-label="say('picked', { name: cropOf(chosen).name, largeUnit: largeUnit() })"
          placeholder="0.0"
        >
          <template #suffix>{{ largeUnit() }}</template>
        </ElInput>
        <ElButton type="primary" native-type="submit" :disabled="!grams || busy">{{ say('keep') }}</ElButton>
      </form>
    </div>
    <p v-if="done" class="good" role="status">{{ done }}</p>
    <Notice v-if="failure" bad>
      {{ failure.message }}
      <ElButton v-if="failure.code === 'surprise'" size="small" @click="keep(true)">{{ say('keepItAnyway') }}</ElButton>
    </Notice>
    <ul v-if="sums.length" class="sums">
      <li v-for="s in sums" :key="s.crop" :style="{ '--crop': cropColour(s.crop) }">
        <span>{{ cropOf(s.crop).name }}</span>
        <svg
          viewBox="0 0 120 30"
          role="img"
          :aria-label="say('byWeekTheLast', { name: cropOf(s.crop).name, weeksShown })"
        >
          <rect
            v-for="(w, i) in s.weeks"
            :key="w.from"
            :x="i * 12 + 1"
            width="10"
            :y="30 - Math.max(1, (w.weightG / s.most) * 29)"
            :height="Math.max(1, (w.weightG / s.most) * 29)"
          >
            <title>{{ say('weekFrom', { from: shortDate(w.from), weightG: weight(w.weightG) }) }}</title>
          </rect>
        </svg>
        <span
          ><strong>{{ weight(s.now) }}</strong> {{ say('thisWeekInAYear', { totalG: weight(s.totalG) }) }}</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.another {
  width: 190px;
}
.crop {
  border-left: 7px solid var(--crop);
}
.kilos {
  width: 120px;
}
.sums {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: var(--s-6);
}
.sums li {
  display: grid;
  grid-template-columns: minmax(90px, 160px) 120px minmax(0, 1fr);
  gap: var(--s-12);
  align-items: center;
}
svg {
  width: 120px;
  height: 30px;
}
rect {
  fill: var(--crop);
}
</style>
