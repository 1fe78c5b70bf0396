<script setup lang="ts">
import { readLearnt, setVariety, type VarietyKeeps } from '@vadose/contract/almanac'
import { computed } from 'vue'
import { Choices } from '../kit'
import { useView, write } from '../view'
import { longerWords, onRuler, seenWords, timesBand } from './learnt-words'
import { say } from './say'

/** What looks over the years have taught of a crop here, variety by variety, and what the household says itself. */
const props = defineProps<{ crop: string; colour: string }>()
const { answer: view } = useView(readLearnt, () => ({ params: { crop: props.crop } }))
const keeps: { id: VarietyKeeps['keeps']; label: string }[] = [
  { id: 'shorter', label: say('shorter') },
  { id: 'usual', label: say('usual') },
  { id: 'longer', label: say('longer') },
]
const shown = computed(() => view.value && (view.value.varieties.length > 0 || view.value.house !== null))
const rows = computed(() =>
  !view.value
    ? []
    : [
        ...(view.value.house ? [{ key: 'house', name: say('allOfIt'), said: undefined, ...view.value.house }] : []),
        ...view.value.varieties.map(({ variety, keeps: said, learnt }) => ({
          key: `v ${variety}`,
          name: variety,
          said,
          ...(learnt ?? { times: null, lots: 0, years: 0 }),
        })),
        ...view.value.places.map((place) => ({
          key: `p ${place.place}`,
          name: `in ${place.place}`,
          said: undefined,
          ...place,
        })),
      ],
)
const tell = (variety: string, said: VarietyKeeps['keeps'] | undefined) =>
  said && void write(setVariety, { body: { crop: props.crop, variety, keeps: said } })
</script>

<template>
  <section v-if="shown && view" class="card stack">
    <h2>{{ say('whatYourHouseHasLearnt') }}</h2>
    <p v-for="o in view.outlasts.slice(0, 3)" :key="o.longer + o.shorter">
      <strong>{{ say('outlastsHere', { longer: o.longer, shorter: o.shorter }) }}</strong>:
      {{ longerWords(o.times.p50) }} <span class="soft">({{ timesBand(o.times) }})</span>.
    </p>
    <p v-if="!view.house" class="soft">
      {{ say('looksAtLotsThatAre') }}
    </p>
    <ul class="bare">
      <li v-for="r in rows" :key="r.key" class="line">
        <strong>{{ r.name }}</strong>
        <svg
          v-if="r.times"
          class="ruler"
          viewBox="0 0 100 14"
          preserveAspectRatio="none"
          role="img"
          :aria-label="say('theBooksLife', { longerWords: longerWords(r.times.p50), timesBand: timesBand(r.times) })"
        >
          <line x1="0" x2="100" y1="7" y2="7" class="base" />
          <line x1="50" x2="50" y1="0" y2="14" class="book" />
          <rect
            :x="100 * onRuler(r.times.p10)"
            :width="100 * (onRuler(r.times.p90) - onRuler(r.times.p10))"
            y="4"
            height="6"
            :fill="colour"
            opacity="0.45"
          />
          <rect :x="100 * onRuler(r.times.p50) - 0.7" width="1.4" y="1" height="12" :fill="colour" />
        </svg>
        <span v-else class="soft ruler">{{ say('nothingLearntYet') }}</span>
        <span class="says"
          ><template v-if="r.times"
            >{{ longerWords(r.times.p50) }}
            <span class="soft">{{ timesBand(r.times) }} · {{ seenWords(r) }}</span></template
          ></span
        >
        <Choices
          v-if="r.said"
          class="said"
          :label="say('howKeeps', { name: r.name })"
          :model-value="r.said"
          :options="keeps"
          @update:model-value="tell(r.name, $event)"
        />
      </li>
    </ul>
    <p class="soft">
      {{ say('againstTheBooksLifeIn') }}
    </p>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 150px minmax(90px, 220px) minmax(150px, 1fr) 270px;
  gap: var(--s-4) var(--s-16);
  align-items: center;
  padding: var(--s-8) 0;
}
.line + .line {
  border-top: 1px solid var(--line);
}
.says .soft {
  margin-left: 0;
  display: block;
}
.ruler {
  width: 100%;
  height: 22px;
}
.base {
  stroke: var(--line);
  vector-effect: non-scaling-stroke;
}
.book {
  stroke: var(--stock);
  stroke-dasharray: 2 2;
  vector-effect: non-scaling-stroke;
}
span.ruler {
  height: auto;
}
@media (max-width: 1100px) {
  .line {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .says,
  .said {
    grid-column: 1 / -1;
  }
  .says .soft {
    display: inline;
    white-space: nowrap;
  }
}
</style>
