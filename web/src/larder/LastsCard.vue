<script setup lang="ts">
import type { LarderView } from '@vadose/contract/larder'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { dateRange, exactWeight, longDate, shortDate, weight } from '../households'

/** Every line of the larder at the pace it is eaten, against how long it keeps. */
const props = defineProps<{ view: LarderView }>()
type Line = LarderView['runOut'][number]
const totalOf = (line: Line) => props.view.totals.find((t) => t.crop === line.crop && t.name === line.name)!
const countOf = (line: Line) => {
  const { pieces, uncountedG, driedG, frozenG, otherG } = totalOf(line)
  const { one, many } = cropOf(line.crop).piece
  return [
    pieces ? `, ${pieces} ${pieces === 1 ? one : many}` : '',
    pieces && uncountedG ? ` and ${weight(uncountedG)} not counted` : '',
    driedG ? `; ${weight(driedG)} of it dried` : '',
    frozenG ? `; ${weight(frozenG)} of it frozen` : '',
    otherG && !line.name ? `; ${weight(otherG)} of it in jars or cooked` : '',
  ].join('')
}
/** what nobody has touched has no pace yet */
const fewLines = 10
const told = computed(() =>
  props.view.runOut.filter((line) => props.view.runOut.length <= fewLines || line.runsOutOn || totalOf(line).overdueG),
)
const untold = computed(() => props.view.runOut.filter((line) => !told.value.includes(line)))
const lastsWords = { short: '▲ Short', right: 'Right', 'too-much': '▴ Too much' } as const
const all = ref(false)
</script>

<template>
  <section class="card">
    <h2>Will it last?</h2>
    <p class="soft">at the pace it is eaten, against how long it keeps</p>
    <div
      v-for="r in all ? view.runOut : told"
      :key="r.crop + r.name"
      class="last"
      :style="{ '--crop': cropColour(r.crop) }"
    >
      <h3>{{ r.name ?? cropOf(r.crop).name }}</h3>
      <p v-if="totalOf(r).weightG">{{ exactWeight(totalOf(r).weightG) }}{{ countOf(r) }}</p>
      <p v-if="totalOf(r).overdueG" class="bad">
        ▲ {{ weight(totalOf(r).overdueG) }}{{ totalOf(r).weightG ? ' more' : '' }} past their time: not counted on.
      </p>
      <template v-if="r.runsOutOn && r.perWeekG">
        <p>
          gone about <strong>{{ longDate(r.runsOutOn.p50) }}</strong>
          <span class="soft">
            ({{ dateRange(r.runsOutOn.p10, r.runsOutOn.p90) }}), {{ weight(Math.round(r.perWeekG.p50)) }} a week</span
          >
        </p>
        <p v-if="r.keepsUntil && r.runsOutOn.p50 > r.keepsUntil" class="bad">
          ▲ More than will keep: 9 in 10 are sound only to {{ shortDate(r.keepsUntil) }}. Give some away or put it up
          another way.
        </p>
        <p v-else class="good">It keeps as long as it lasts.</p>
      </template>
      <p v-if="r.lasts" :class="{ bad: r.lasts === 'short', good: r.lasts === 'right' }">
        {{ lastsWords[r.lasts]
        }}<template v-if="r.gapFrom"
          >: gone {{ longDate(r.gapFrom) }}, the next crop comes about {{ longDate(r.nextCropOn!) }}</template
        ><template v-else> to the next crop, about {{ longDate(r.nextCropOn!) }}</template
        >.
      </p>
      <p v-else-if="totalOf(r).weightG" class="soft">None used yet: the pace is not known.</p>
    </div>
    <p v-if="untold.length > 0 && !all">
      <ElButton @click="all = true">{{ untold.length }} more, not used yet</ElButton>
    </p>
    <p v-if="view.runOut.length === 0" class="soft">Nothing is in store.</p>
  </section>
</template>

<style scoped>
.last {
  border-left: 5px solid var(--crop);
  padding-left: 10px;
  margin-top: 12px;
}
</style>
