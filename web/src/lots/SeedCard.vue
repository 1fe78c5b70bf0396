<script setup lang="ts">
import type { LotView } from '@vadose/contract/lots'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { longDate } from '../households'
import { useAct } from './act'
import { countFrom } from './grades'
import { say } from './say'
import { Amount, Notice } from '../kit'

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
  'as-usual': say('sowAsUsual'),
  thicker: say('sowThickerSomeOfIt'),
  'sow-out': say('halfAndMoreWillNot'),
} as const
const tall = 60
</script>

<template>
  <section class="card stack">
    <h2>{{ say('forSowing') }}</h2>
    <figure
      class="springs"
      role="img"
      :aria-label="seed.springs.map((s) => `${s.on.slice(0, 4)}: ${s.pct} in 100`).join(', ')"
    >
      <div v-for="s in seed.springs" :key="s.on">
        <strong>{{ s.pct }}</strong>
        <i :style="{ height: `${(s.pct / 100) * tall}px` }"></i>
        <span class="soft">{{ say('spring', { on: s.on.slice(0, 4) }) }}</span>
      </div>
    </figure>
    <p>
      <strong>{{ advice[seed.advice] }}</strong>
      <span class="soft">{{ say('likelyToComeUpOf') }}</span>
    </p>
    <p class="soft">
      <template v-if="seed.test">{{
        say('testedOnOfCameUp', { on: longDate(seed.test.on), came: seed.test.came, sown: seed.test.sown })
      }}</template><template v-else>{{ say('neverTestedReckonedFromFresh') }}</template
      >{{ say('bySConstantsAKins', { species: seed.species, kin: seed.kin ? 'yes' : 'no', source: seed.source }) }}
    </p>
    <form class="row" @submit.prevent="keep">
      <Amount v-model="sown" bare whole :label="say('seedsLaidOut')" :placeholder="say('laidOut')" />
      <Amount v-model="came" bare whole :label="say('seedsThatCameUp')" :placeholder="say('cameUp')" />
      <ElButton native-type="submit" :disabled="busy || counts.sown === null || counts.came === null">{{
        say('keepTheTest')
      }}</ElButton>
    </form>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
  </section>
</template>

<style scoped>
.springs {
  display: flex;
  gap: var(--s-16);
  align-items: end;
  margin: 0;
}
.springs div {
  display: grid;
  justify-items: center;
  gap: var(--s-2);
}
.springs i {
  width: 34px;
  background: repeating-linear-gradient(
    0deg,
    var(--good) 0 4px,
    color-mix(in srgb, var(--good) 60%, var(--card)) 4px 6px
  );
}
</style>
