<script setup lang="ts">
import { endSaid } from '@vadose/core/almanac'
import type { StoresView } from '@vadose/contract/stores'
import { asideWords } from '@vadose/core/lots'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, cropOf, heapLabel, lotCrop } from '../almanac'
import { humidity, temperature, weight } from '../households'
import { say } from './say'
import { sayWord, sayFact } from '../voice'

const props = defineProps<{
  place: StoresView['places'][number]
  lots: StoresView['lots']
  heaviestG: number
  chosen: string | undefined
  /** share full, of a freezer whose litres are known */
  fill?: number | undefined
  /** the places themselves are being arranged */
  arranging?: boolean
}>()
const emit = defineEmits<{
  choose: [code: string]
  /** earlier in the walk, or later */
  step: [by: -1 | 1]
}>()
const threats = computed(() =>
  // what the place does to a lot is told once
  props.place.conflicts.some(({ kind }) => ['damp', 'frost'].includes(kind))
    ? []
    : props.lots.filter((l) => l.keeps && ['rooting', 'mould', 'frost'].includes(l.keeps.endedBy)),
)
const width = (g: number) => `max(132px, ${Math.round(Math.sqrt(g / props.heaviestG) * 100)}%)`
const label = (lot: StoresView['lots'][number]) => {
  const what = lot.name ?? (lot.form === 'fresh' ? cropOf(lot.crop) : lotCrop(lot)).plural
  if (lot.aside) return `${what}, ${sayWord(asideWords[lot.aside.why])}`
  return lot.heap === 'sound' ? what : `${what}, ${heapLabel(cropOf(lot.crop), lot.heap).toLowerCase()}`
}
/** a shelf of jars is the larder's to show line by line */
const most = 7
const all = ref(false)
const shown = computed(() => (all.value || kept.value.length <= most + 1 ? kept.value : heaviest.value.slice(0, most)))
const heaviest = computed(() => [...kept.value].sort((a, b) => b.weightG - a.weightG))
/** of what there is room for, where the household said how much that is */
const roomShare = computed(() =>
  props.place.holdsKg === null ? undefined : props.lots.reduce((g, l) => g + l.weightG, 0) / 1000 / props.place.holdsKg,
)
const drying = computed(() => props.lots.filter((l) => l.stage === 'drying'))
const kept = computed(() => props.lots.filter((l) => l.stage !== 'drying'))
</script>

<template>
  <section
    class="place"
    :class="place.kind"
    :aria-label="place.name"
    :data-place="place.name"
    :data-place-id="place.id"
  >
    <header :class="{ handle: arranging }" :data-carry-place="arranging ? place.id : undefined">
      <span v-if="arranging" class="steps">
        <ElButton size="small" :aria-label="say('earlier', { name: place.name })" @click="emit('step', -1)">↑</ElButton>
        <ElButton size="small" :aria-label="say('later', { name: place.name })" @click="emit('step', 1)">↓</ElButton>
      </span>
      <h3>
        <RouterLink :to="place.kind === 'freezer' ? '/freezers' : `/places/${place.id}`">{{ place.name }}</RouterLink>
      </h3>
      <span v-if="place.air.temperatureC !== null" class="air" :class="threats.length ? 'bad' : ''">
        {{ temperature(place.air.temperatureC)
        }}<template v-if="fill !== undefined">
          · <b class="full">{{ say('full', { fill: Math.round(fill * 100) }) }}</b></template
        ><template v-else-if="place.kind !== 'freezer'"> · {{ humidity(place.air.relativeHumidityPct ?? 0) }}</template>
      </span>
      <span v-else class="air soft"
        >{{ say('neverMeasured')
        }}<template v-if="fill !== undefined">{{ say('full2', { fill: Math.round(fill * 100) }) }}</template></span
      >
    </header>
    <p v-if="roomShare !== undefined" class="room" :class="roomShare > 1 ? 'bad' : 'soft'">
      {{
        say('ofIts', {
          roomShare: roomShare > 1 ? '▲ ' : '',
          roomShare2: Math.round(roomShare * 100),
          weight: weight(place.holdsKg! * 1000),
        })
      }}
    </p>
    <div class="lots">
      <button
        v-for="lot in shown"
        :key="lot.code"
        class="lot"
        :class="[cropOf(lot.crop).group, { chosen: chosen === lot.code }]"
        :style="{ width: width(lot.weightG), '--crop': cropColour(lot.crop) }"
        :data-carry-lot="lot.code"
        :aria-pressed="chosen === lot.code"
        @click="emit('choose', lot.code)"
      >
        <span
          ><b>{{ label(lot) }}</b
          ><br />{{ lot.code }} · {{ weight(lot.weightG) }}</span
        >
      </button>
      <button v-if="shown.length < kept.length" type="button" class="lot rest" @click="all = true">
        <span>{{ say('more', { kept: kept.length - shown.length }) }}</span>
      </button>
      <RouterLink v-if="drying.length" class="on-line" :to="`/line?lot=${drying[0]!.code}`">
        {{ say('lotOnTheLine', { drying: drying.length }) }}
      </RouterLink>
      <p v-if="lots.length === 0" class="soft">{{ say('empty') }}</p>
    </div>
    <p v-for="c in place.conflicts" :key="c.kind + c.codes.join()" class="bad threat">▲ {{ sayFact(c.says) }}</p>
    <p v-for="t in threats" :key="t.code" class="bad threat">
      {{ say('willEndItHere', { code: t.code, endedBy: sayFact(endSaid(t.keeps!.endedBy)) }) }}
    </p>
  </section>
</template>

<style scoped>
.place {
  border: 2px solid var(--wall);
  background: var(--card);
  padding: var(--s-8) var(--s-12);
  min-width: 0;
  min-height: 92px;
}
.place.over {
  outline: 3px dashed var(--accent);
  outline-offset: -6px;
}
.place.veranda,
.place.shed {
  border-style: dashed;
}
.place.outdoors {
  border: 0;
  background: transparent;
  min-height: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: var(--s-2) var(--s-12);
}
.air {
  font-size: var(--t-small);
  font-weight: 600;
}
.handle {
  cursor: grab;
  outline: 2px dashed var(--wall);
  outline-offset: 3px;
}
.steps .el-button + .el-button {
  margin-left: var(--s-4);
}
.room {
  font-size: var(--t-small);
  margin: var(--s-2) 0 0;
}
.lots {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-6);
  margin-top: var(--s-8);
  align-items: flex-start;
}
.lot {
  border: 1.5px solid var(--crop);
  border-radius: 5px;
  text-align: left;
  padding: 0;
  cursor: grab;
  user-select: none;
  -webkit-touch-callout: none;
  max-width: 100%;
  min-height: 30px;
  background-color: color-mix(in srgb, var(--crop) 24%, var(--card));
}
/* what is carried lets what lies under it be met, and is not tapped where it is let go of */
.carried {
  position: relative;
  z-index: 25;
  pointer-events: none;
  box-shadow: 0 6px 18px rgb(0 0 0 / 35%);
}
.lot.garlic {
  background-image: repeating-linear-gradient(
    45deg,
    color-mix(in srgb, var(--crop) 34%, transparent) 0 3px,
    transparent 3px 9px
  );
}
.lot.onion {
  background-image: radial-gradient(color-mix(in srgb, var(--crop) 50%, transparent) 1.5px, transparent 2px);
  background-size: 9px 9px;
}
.lot span {
  display: inline-block;
  background: var(--card);
  border-radius: 3px;
  margin: var(--s-4);
  padding: 1px var(--s-6);
  font-size: var(--t-small);
  line-height: 1.3;
}
.lot.chosen {
  outline: 3px solid var(--accent);
}
.on-line {
  font-size: var(--t-note);
}
.threat {
  font-size: var(--t-small);
  font-weight: 600;
  margin-top: var(--s-6);
}
@media (max-width: 820px) {
  .lot {
    min-height: 48px;
  }
}
</style>
