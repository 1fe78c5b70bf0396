<script setup lang="ts">
import type { LotView } from '@vadose/contract/lots'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { longDate } from '../households'
import { useAct } from './act'
import { countFrom } from './grades'

/** What is likely to come up of seed, spring by spring; a test on damp paper says better. */
const props = defineProps<{ code: string; seed: NonNullable<LotView['seed']> }>()
const sown = ref('')
const came = ref('')
const { act, refusal, busy } = useAct()
const counts = computed(() => ({
  sown: countFrom(sown.value),
  came: came.value.trim() === '0' ? 0 : countFrom(came.value),
}))
async function keep() {
  const { sown: laid, came: up } = counts.value
  if (laid === null || up === null) return
  if (await act(props.code, { act: 'germinate', sown: laid, came: up })) sown.value = came.value = ''
}
const advice = {
  'as-usual': 'Sow as usual.',
  thicker: 'Sow thicker: some of it will not come up.',
  'sow-out': 'Half and more will not come up: sow it out thickly, or save fresh seed.',
} as const
const tall = 60
</script>

<template>
  <section class="card stack">
    <h2>For sowing</h2>
    <figure
      class="springs"
      role="img"
      :aria-label="seed.springs.map((s) => `${s.on.slice(0, 4)}: ${s.pct} in 100`).join(', ')"
    >
      <div v-for="s in seed.springs" :key="s.on">
        <strong>{{ s.pct }}</strong>
        <i :style="{ height: `${(s.pct / 100) * tall}px` }"></i>
        <span class="soft">spring {{ s.on.slice(0, 4) }}</span>
      </div>
    </figure>
    <p>
      <strong>{{ advice[seed.advice] }}</strong>
      <span class="soft">likely to come up of 100, kept dry in a closed jar where it is</span>
    </p>
    <p class="soft">
      <template v-if="seed.test"
        >Tested on {{ longDate(seed.test.on) }}: {{ seed.test.came }} of {{ seed.test.sown }} came up; reckoned from
        there. </template
      ><template v-else>Never tested: reckoned from fresh seed. </template>By {{ seed.species }}’s constants{{
        seed.kin ? ', a kin’s, since its own were never published' : ''
      }}. {{ seed.source }}
    </p>
    <form class="row" @submit.prevent="keep">
      <ElInput v-model="sown" class="n" inputmode="numeric" aria-label="Seeds laid out" placeholder="laid out" />
      <ElInput v-model="came" class="n" inputmode="numeric" aria-label="Seeds that came up" placeholder="came up" />
      <ElButton native-type="submit" :disabled="busy || counts.sown === null || counts.came === null"
        >Keep the test</ElButton
      >
    </form>
    <p v-if="refusal" class="bad" role="alert">{{ refusal.message }}</p>
  </section>
</template>

<style scoped>
.springs {
  display: flex;
  gap: 18px;
  align-items: end;
  margin: 0;
}
.springs div {
  display: grid;
  justify-items: center;
  gap: 2px;
}
.springs i {
  width: 34px;
  background: repeating-linear-gradient(
    0deg,
    var(--good) 0 4px,
    color-mix(in srgb, var(--good) 60%, var(--card)) 4px 6px
  );
}
.n {
  width: 110px;
}
</style>
