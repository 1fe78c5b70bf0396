<script setup lang="ts">
import type { LarderView } from '@vadose/contract/larder'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { dateRange, exactWeight, longDate, shortDate, weight } from '../households'
import { say } from './say'

/** Every line of the larder at the pace it is eaten, against how long it keeps. */
const props = defineProps<{ view: LarderView }>()
type Line = LarderView['runOut'][number]
const totalOf = (line: Line) => props.view.totals.find((t) => t.crop === line.crop && t.name === line.name)!
const countOf = (line: Line) => {
  const { pieces, uncountedG, driedG, frozenG, otherG } = totalOf(line)
  const { one, many } = cropOf(line.crop).piece
  return [
    pieces ? `, ${pieces} ${pieces === 1 ? one : many}` : '',
    pieces && uncountedG ? say('andNotCounted', { weight: weight(uncountedG) }) : '',
    driedG ? say('ofItDried', { weight: weight(driedG) }) : '',
    frozenG ? say('ofItFrozen', { weight: weight(frozenG) }) : '',
    otherG && !line.name ? say('ofItInJarsOr', { weight: weight(otherG) }) : '',
  ].join('')
}
/** what nobody has touched has no pace yet */
const fewLines = 10
const told = computed(() =>
  props.view.runOut.filter((line) => props.view.runOut.length <= fewLines || line.runsOutOn || totalOf(line).overdueG),
)
const untold = computed(() => props.view.runOut.filter((line) => !told.value.includes(line)))
const lastsWords = { short: `▲ ${say('shortLarge')}`, right: say('right'), 'too-much': say('tooMuch') } as const
const all = ref(false)
</script>

<template>
  <section class="card">
    <h2>{{ say('willItLast') }}</h2>
    <p class="soft">{{ say('atThePaceItIs') }}</p>
    <div
      v-for="r in all ? view.runOut : told"
      :key="r.crop + r.name"
      class="last"
      :style="{ '--crop': cropColour(r.crop) }"
    >
      <h3>{{ r.name ?? cropOf(r.crop).name }}</h3>
      <p v-if="totalOf(r).weightG">{{ exactWeight(totalOf(r).weightG) }}{{ countOf(r) }}</p>
      <p v-if="totalOf(r).overdueG" class="bad">
        {{
          say('morePastTheirTimeNot', {
            overdueG: weight(totalOf(r).overdueG),
            weightG: totalOf(r).weightG ? 'yes' : 'no',
          })
        }}
      </p>
      <template v-if="r.runsOutOn && r.perWeekG">
        <p>
          {{ say('goneAbout') }} <strong>{{ longDate(r.runsOutOn.p50) }}</strong>
          <span class="soft">{{
            say('aWeek', {
              dateRange: dateRange(r.runsOutOn.p10, r.runsOutOn.p90),
              weight: weight(Math.round(r.perWeekG.p50)),
            })
          }}</span>
        </p>
        <p v-if="r.keepsUntil && r.runsOutOn.p50 > r.keepsUntil" class="bad">
          {{ say('moreThanWillKeepIn', { keepsUntil: shortDate(r.keepsUntil) }) }}
        </p>
        <p v-else class="good">{{ say('itKeepsAsLongAs') }}</p>
      </template>
      <p v-if="r.lasts" :class="{ bad: r.lasts === 'short', good: r.lasts === 'right' }">
        {{ lastsWords[r.lasts]
        }}<template v-if="r.gapFrom">{{
          say('goneTheNextCropComes', { gapFrom: longDate(r.gapFrom), longDate: longDate(r.nextCropOn!) })
        }}</template
        ><template v-else>{{ say('toTheNextCropAbout', { longDate: longDate(r.nextCropOn!) }) }}</template
        >.
      </p>
      <p v-else-if="totalOf(r).weightG" class="soft">{{ say('noneUsedYetThePace') }}</p>
    </div>
    <p v-if="untold.length > 0 && !all">
      <ElButton @click="all = true">{{ say('moreNotUsedYet', { untold: untold.length }) }}</ElButton>
    </p>
    <p v-if="view.runOut.length === 0" class="soft">{{ say('nothingIsInStore') }}</p>
  </section>
</template>

<style scoped>
.last {
  border-left: 5px solid var(--crop);
  padding-left: var(--s-8);
  margin-top: var(--s-12);
}
</style>
