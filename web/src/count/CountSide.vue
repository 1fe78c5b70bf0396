<script setup lang="ts">
import type { CountView } from '@vadose/contract/count'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { lotCrop, lotName } from '../almanac'
import { weight, yearDate } from '../households'
import { isFarOff, linesOf, offWords, tallyOf } from './count'
import OffRope from './OffRope.vue'
import { say } from './say'

/** Beside the shelves: how far off so far, what is far off while somebody stands there, how true the books were before. */
const props = defineProps<{ view: CountView }>()
defineEmits<{ again: [code: string] }>()
const soFine = ref(new Set<string>())
const tally = computed(() => tallyOf(props.view))
const farShown = 3
const farOff = computed(() =>
  linesOf(props.view)
    .map(({ line }) => line)
    .filter((line) => isFarOff(line) && !soFine.value.has(line.code))
    .slice(-farShown),
)
</script>

<template>
  <aside class="stack">
    <section class="card">
      <h2>{{ say('howFarOffSoFar') }}</h2>
      <p v-if="tally.counted === 0" class="soft">{{ say('nothingIsCountedYet') }}</p>
      <ul v-else class="bare">
        <li v-if="tally.fewer">
          <strong class="figure bad">−{{ tally.fewer }}</strong> {{ say('fewerThanTheBooksSay') }}
        </li>
        <li v-if="tally.lessG">
          <strong class="figure bad">−{{ weight(tally.lessG) }}</strong> {{ say('lessOfWhatIsWeighed') }}
        </li>
        <li v-if="tally.more">
          <strong class="figure">+{{ tally.more }}</strong> {{ say('more') }}
        </li>
        <li>
          <strong class="figure">{{ tally.asExpected }}</strong>
          {{ say('lineAsExpected', { asExpected: tally.asExpected }) }}
        </li>
      </ul>
      <OffRope :view="view" />
    </section>
    <section v-if="farOff.length" class="card">
      <h2>{{ say('farOffWhileYouStand') }}</h2>
      <div v-for="line in farOff" :key="line.code">
        <p>
          <strong>{{ lotName(line) }}</strong> <span class="bad">{{ offWords(line, lotCrop(line).piece) }}</span>
        </p>
        <div class="row">
          <ElButton @click="$emit('again', line.code)">{{ say('countAgain') }}</ElButton>
          <ElButton @click="soFine = new Set([...soFine, line.code])">{{ say('itIsSo') }}</ElButton>
        </div>
      </div>
    </section>
    <section v-if="view.truth.length" class="card">
      <h2>{{ say('howTrueTheBooksWere') }}</h2>
      <ul class="bare">
        <li v-for="t in view.truth" :key="t.on">
          <strong>{{ t.truePct }} in 100</strong>
          <span class="soft">{{ say('linesByWeight', { on: yearDate(t.on), lines: t.lines }) }}</span>
        </li>
      </ul>
      <p v-if="view.unexplainedG" class="soft">
        {{ say('goneCauseUnknown', { unexplainedG: weight(view.unexplainedG) }) }}
      </p>
    </section>
  </aside>
</template>

<style scoped>
li {
  padding: var(--s-4) 0;
}
</style>
