<script setup lang="ts">
import { sayFact } from '../voice'
import { finishCount, type CountCause, type CountView } from '@vadose/contract/count'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, lotCrop, lotName } from '../almanac'
import { amount, useAttempt, weight } from '../households'
import { Choices, Notice } from '../kit'
import { write } from '../view'
import { isOff, linesOf, offWords, tallyOf } from './count'
import OffRope from './OffRope.vue'
import { say } from './say'

/** Each difference with a proposed cause; “no idea” is an answer that is kept. */
const props = defineProps<{ view: CountView }>()
const emit = defineEmits<{ back: []; done: [booked: number, asExpected: number] }>()
const causeWords: Record<CountCause, string> = {
  eaten: 'eaten',
  given: say('givenAway'),
  lost: 'lost',
  'dried-out': say('driedOut'),
  found: 'found',
  miscounted: say('miscountedBefore'),
  unknown: say('noIdea'),
}
const off = computed(() =>
  linesOf(props.view)
    .map(({ line }) => line)
    .filter((line) => line.counted && isOff(line)),
)
const said = ref<Partial<Record<string, CountCause>>>({})
const causeOf = (code: string): CountCause =>
  said.value[code] ?? off.value.find((line) => line.code === code)?.counted?.proposals[0]?.cause ?? 'unknown'
const tally = computed(() => tallyOf(props.view))
const choices = (line: (typeof off.value)[number]) => {
  const more = (line.counted!.offPieces ?? line.counted!.offG) > 0
  const all: CountCause[] = more
    ? ['found', 'miscounted', 'unknown']
    : ['eaten', 'given', 'lost', 'dried-out', 'miscounted', 'unknown']
  return all
    .filter((cause) => cause !== 'dried-out' || line.counted!.offPieces === null)
    .map((id) => ({ id, label: causeWords[id] }))
}
const whyOf = (line: (typeof off.value)[number]) => {
  const proposal = line.counted!.proposals.find(({ cause }) => cause === causeOf(line.code))
  return proposal ? sayFact(proposal.why) : ''
}
const wide = (line: (typeof off.value)[number]) => {
  const c = line.counted!
  const there =
    c.offPieces !== null && line.pieces
      ? (line.pieces + c.offPieces) / line.pieces
      : (line.weightG + c.offG) / Math.max(1, line.weightG)
  const top = Math.max(1, there)
  return { book: 100 / top, there: (there * 100) / top }
}
const { attempt, failure, busy } = useAttempt()
const book = () =>
  attempt(async () => {
    const answer = await write(finishCount, {
      body: { causes: off.value.map(({ code }) => ({ code, cause: causeOf(code) })) },
    })
    emit('done', answer.booked, answer.asExpected)
  })
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>{{ say('countedOfLinesAsExpected', { asExpected: tally.asExpected, counted: tally.counted }) }}</h1>
      <p class="soft">{{ off.length === 0 ? say('nothingToExplain') : say('toExplain', { off: off.length }) }}</p>
      <div class="acts">
        <ElButton @click="$emit('back')">{{ say('backToTheShelves') }}</ElButton>
        <ElButton type="primary" :disabled="busy" @click="book">{{ say('bookTheCount') }}</ElButton>
      </div>
    </header>
    <Notice v-if="tally.counted < tally.lines">
      {{ say('lineIsNotCountedThey', { lines: tally.lines - tally.counted }) }}
    </Notice>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
    <section v-for="line in off" :key="line.code" class="card off" :data-off="line.code">
      <div :style="{ '--crop': cropColour(line.crop) }">
        <h2>
          {{ lotName(line) }} <span class="soft">{{ line.code }}</span>
        </h2>
        <i class="book" :style="{ width: `${wide(line).book}%` }"></i>
        <i class="there" :style="{ width: `${wide(line).there}%` }"></i>
        <p class="soft">
          {{ say('inTheBook', { amount: amount(line.pieces, line.weightG, lotCrop(line).piece) }) }}
          <strong>{{
            say('there', { therePieces: line.counted!.therePieces ?? weight(line.counted!.thereG ?? 0) })
          }}</strong>
        </p>
      </div>
      <p class="figure" :class="(line.counted!.offPieces ?? line.counted!.offG) < 0 ? 'bad' : ''">
        {{ offWords(line, lotCrop(line).piece) }}
      </p>
      <div class="stack tight">
        <Choices
          :model-value="causeOf(line.code)"
          :label="say('whyIsOff', { lotName: lotName(line) })"
          :options="choices(line)"
          @update:model-value="$event && (said = { ...said, [line.code]: $event })"
        />
        <p class="soft">{{ whyOf(line) }}</p>
      </div>
    </section>
    <section class="card">
      <OffRope :view="view" />
      <p class="soft">{{ say('everyLineInTheOrder') }}</p>
    </section>
    <p class="soft">{{ say('noIdeaItIsBooked') }}</p>
  </div>
</template>

<style scoped>
.off {
  display: grid;
  grid-template-columns: minmax(180px, 1fr) 150px minmax(300px, 1.6fr);
  gap: var(--s-8) var(--s-24);
  align-items: center;
}
i {
  display: block;
  height: 10px;
  margin: var(--s-4) 0;
  border-radius: 2px;
}
.book {
  border: 1.5px dashed var(--crop);
}
.there {
  background: var(--crop);
}
.tight {
  gap: var(--s-4);
}
@media (max-width: 820px) {
  .off {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
