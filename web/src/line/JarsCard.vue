<script setup lang="ts">
import { sayFact } from '../voice'
import type { LineView } from '@vadose/contract/line'
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import { cropColour, lotName } from '../almanac'
import { weight } from '../households'
import { useAct } from '../lots'
import { say } from './say'
import { Notice } from '../kit'

/** Dried food a week in the jar before it is put by: shaken every day, looked at for beads. */
defineProps<{ jars: LineView['jars'] }>()
const percent = ref('')
const { act, refusal, busy } = useAct()
const jarPct = () => {
  const value = Number(percent.value.replace(',', '.'))
  return percent.value.trim() !== '' && Number.isFinite(value) ? { jarHumidityPct: value } : {}
}
async function shake(code: string, beads: boolean, mould = false) {
  if (await act(code, { act: 'shake', beads, mould, ...jarPct() })) percent.value = ''
}
</script>

<template>
  <section class="card" :aria-label="say('inJarsConditioning')">
    <h2>{{ say('inJarsAWeekBefore') }}</h2>
    <ul class="rows">
      <li v-for="l in jars" :key="l.code" class="jar" :style="{ '--crop': cropColour(l.crop) }">
        <div>
          <h3>
            {{ lotName(l) }} <RouterLink class="code" :to="`/lots/${l.code}`">{{ l.code }}</RouterLink>
          </h3>
          <p class="soft">{{ weight(l.weightG) }}. {{ l.jar.says ? sayFact(l.jar.says) : say('notLookedAtYet') }}</p>
        </div>
        <ol class="days" :aria-label="say('dayOf', { day: Math.min(l.jar.day, l.jar.of), of: l.jar.of })">
          <li v-for="d in l.jar.of" :key="d" :class="{ past: d < l.jar.day || (d === l.jar.day && l.jar.shakenToday) }">
            {{ d }}
          </li>
        </ol>
        <p v-if="l.jar.shakenToday" class="good">{{ say('shakenToday') }}</p>
        <div v-else class="row">
          <ElInput
            v-model="percent"
            class="percent"
            inputmode="decimal"
            :placeholder="say('airInIt')"
            :aria-label="say('humidityInTheJarIf', { code: l.code })"
            ><template #suffix>%</template></ElInput
          >
          <ElButton type="primary" :disabled="busy" @click="shake(l.code, false)">{{ say('shakenNoBeads') }}</ElButton>
          <ElButton :disabled="busy" @click="shake(l.code, true)">{{ say('beadsBackToTheDryer') }}</ElButton>
          <ElButton :disabled="busy" @click="shake(l.code, false, true)">{{ say('mouldThrowItOut') }}</ElButton>
        </div>
      </li>
    </ul>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: var(--s-6) 0 0;
}
.jar {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: var(--s-8) var(--s-16);
  padding: var(--s-8) 0;
}
.jar > .row,
.jar > .good {
  grid-column: 1 / -1;
}
.days {
  list-style: none;
  display: flex;
  gap: var(--s-4);
  padding: 0;
  margin: 0;
}
.days li {
  width: 26px;
  height: 26px;
  border-radius: 13px;
  border: 2px solid var(--crop);
  display: grid;
  place-items: center;
  font-size: var(--t-small);
}
.days .past {
  background: var(--crop);
  color: var(--card);
}
.percent {
  width: 116px;
}
@media (max-width: 820px) {
  .jar {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
