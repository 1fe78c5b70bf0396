<script setup lang="ts">
import type { CuringView, LotView } from '@vadose/contract/lots'
import { readLineLot } from '@vadose/contract/line'
import { computed } from 'vue'
import { cropColour, lotCrop } from '../almanac'
import { dateRange, useFrame, weight } from '../households'
import { useView } from '../view'
import { sayFact } from '../voice'
import { say } from './say'
import WeightChart from './WeightChart.vue'

/** A lot on the line: when it is ready and why, beside its weights. */
const props = defineProps<{ lot: LotView; curing: CuringView; wide: boolean }>()
const frame = useFrame()
const heals = computed(() => lotCrop(props.lot).curing?.clock === 'healing')
// what heals is judged by its hours: nobody weighs it
const { answer: detail } = useView(readLineLot, () => (heals.value ? null : { params: { code: props.lot.code } }))
</script>

<template>
  <section class="card" :class="{ 'beside-it': wide && !heals }">
    <div>
      <h2>{{ say('onTheLine') }}</h2>
      <p class="figure">{{ curing.readyNow >= 0.9 ? say('ready') : dateRange(curing.ready.p10, curing.ready.p90) }}</p>
      <p class="soft">
        {{
          say('inOfItsDryingDone', {
            progress: Math.round(curing.progress * 100),
            lastWeighedG: curing.lastWeighedG ? say('lastWeighed', { lastWeighedG: weight(curing.lastWeighedG) }) : '',
          })
        }}
      </p>
      <ul>
        <li v-for="reason in curing.reasons" :key="reason.says">{{ sayFact(reason) }}</li>
      </ul>
      <RouterLink :to="`/line?lot=${lot.code}`">{{ say('seeItOnTheDrying') }}</RouterLink>
    </div>
    <WeightChart v-if="detail" :detail="detail" :now="frame.frame?.now ?? ''" :colour="cropColour(lot.crop)" />
  </section>
</template>
