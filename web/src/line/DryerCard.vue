<script setup lang="ts">
import type { LineView } from '@vadose/contract/line'
import { ElButton, ElInput } from 'element-plus'
import { reactive, ref } from 'vue'
import { cropColour, cropOf, lotName } from '../almanac'
import { gramsFrom, momentOf, smallUnit, temperature, useFrame, weight } from '../households'
import { useAct, WeighField } from '../lots'
import { say } from './say'
import { Notice } from '../kit'

/** Loads in the dehydrator: when each is done, by its hours and by the scale. */
defineProps<{ loads: LineView['dryer'] }>()
const frame = useFrame()
const at = (iso: string) => momentOf(iso, frame.frame?.household.timeZone, frame.today)
const open = ref<{ code: string; what: 'weigh' | 'jar' }>()
const toggle = (code: string, what: 'weigh' | 'jar') =>
  (open.value = open.value?.code === code && open.value.what === what ? undefined : { code, what })
const out = reactive({ text: '' })
const { act, refusal, busy } = useAct()

async function jar(code: string, sure = false) {
  const weightG = gramsFrom(out.text)
  if (weightG === null) return
  if (await act(code, { act: 'jar', weightG, ...(sure ? { sure } : {}) })) {
    out.text = ''
    open.value = undefined
  }
}
const doneness = (crop: string) => cropOf(crop).dehydrating?.doneness ?? ''
</script>

<template>
  <section class="card" :aria-label="say('inTheDryer')">
    <h2>{{ say('inTheDryer') }}</h2>
    <ul class="rows">
      <li v-for="l in loads" :key="l.code" class="load" :style="{ '--crop': cropColour(l.crop) }">
        <div>
          <h3>
            {{ lotName(l) }} <RouterLink class="code" :to="`/lots/${l.code}`">{{ l.code }}</RouterLink>
          </h3>
          <p class="soft">
            {{
              say('backFromTheJarOn', {
                again: l.load.again ? 'yes' : 'no',
                weightG: weight(l.weightG),
                trays: l.load.trays === 1 ? say('oneTray') : say('trays2', { trays: l.load.trays }),
                airC: temperature(l.load.airC, 0),
                at: at(l.load.loadedAt),
              })
            }}
          </p>
        </div>
        <div class="done">
          <strong>{{ say('done', { at: at(l.load.doneAt.p10), at2: at(l.load.doneAt.p90) }) }}</strong>
          <p class="soft">{{ say('at', { targetG: weight(l.load.targetG), doneness: doneness(l.crop) }) }}</p>
        </div>
        <div
          class="bar"
          role="img"
          :aria-label="
            say('inOfTheWaterGone', {
              progress: Math.round(l.load.progress * 100),
              moisturePct: Math.round(l.load.moisturePct),
            })
          "
        >
          <i :style="{ width: `${l.load.progress * 100}%` }"></i>
          <span>{{ say('waterLeft', { moisturePct: Math.round(l.load.moisturePct) }) }}</span>
        </div>
        <div class="row">
          <ElButton @click="toggle(l.code, 'weigh')">{{ say('weigh') }}</ElButton>
          <ElButton v-if="!l.load.rotated" :disabled="busy" @click="act(l.code, { act: 'rotate' })">{{
            say('traysChangedRound')
          }}</ElButton>
          <ElButton type="primary" @click="toggle(l.code, 'jar')">{{ say('outIntoJars') }}</ElButton>
        </div>
        <WeighField
          v-if="open?.code === l.code && open.what === 'weigh'"
          :code="l.code"
          basis="lot"
          :expected-g="null"
          focus-first
          @done="open = undefined"
        />
        <form v-if="open?.code === l.code && open.what === 'jar'" class="row" @submit.prevent="jar(l.code)">
          <ElInput
            v-model="out.text"
            class="grams"
            inputmode="decimal"
            autofocus
            :aria-label="say('driedWeightOf', { code: l.code, smallUnit: smallUnit() })"
            :placeholder="say('about', { targetG: l.load.targetG })"
            ><template #suffix>{{ smallUnit() }}</template></ElInput
          >
          <ElButton type="primary" native-type="submit" :disabled="gramsFrom(out.text) === null || busy">{{
            say('keep')
          }}</ElButton>
          <p class="soft">{{ say('coolFirstTwoThirdsFull') }}</p>
          <Notice v-if="refusal" bad>
            {{ refusal.message }}
            <ElButton v-if="refusal.code === 'surprise'" @click="jar(l.code, true)">{{ say('keepItAnyway') }}</ElButton>
          </Notice>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: var(--s-6) 0 0;
}
.load {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--s-8) var(--s-16);
  padding: var(--s-8) 0;
}
.bar {
  grid-column: 1 / -1;
  position: relative;
  height: 24px;
  border-radius: 6px;
  background: var(--paper-deep);
  overflow: hidden;
}
.bar i {
  position: absolute;
  inset: 0 auto 0 0;
  background: color-mix(in srgb, var(--crop) 45%, var(--paper-deep));
}
.bar span {
  position: relative;
  padding-left: var(--s-8);
  font-size: var(--t-note);
  font-weight: 600;
}

.load > :is(.row, form, .weigh) {
  grid-column: 1 / -1;
}
.grams {
  width: 150px;
}
@media (max-width: 820px) {
  .load {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
