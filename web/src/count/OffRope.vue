<script setup lang="ts">
import type { CountView } from '@vadose/contract/count'
import { computed } from 'vue'
import { lotName, lotCrop } from '../almanac'
import { isOff, linesOf, offWords } from './count'
import { say } from './say'

/** Every line in the order it is walked: a point is as expected, below the rope fewer, above it more. */
const props = defineProps<{ view: CountView }>()
const width = 360
const lines = computed(() => linesOf(props.view).map(({ line }) => line))
const step = computed(() => Math.min(20, (width - 16) / Math.max(1, lines.value.length)))
const tall = (line: (typeof lines.value)[number]) => {
  const { counted, pieces, weightG } = line
  if (!counted) return 0
  const share = counted.offPieces !== null && pieces ? counted.offPieces / pieces : counted.offG / Math.max(1, weightG)
  return Math.max(-1, Math.min(1, share)) * 24 || (isOff(line) ? Math.sign(counted.offG) * 4 : 0)
}
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} 66`"
    class="rope"
    role="img"
    :aria-label="
      say('linesOffOfCounted', {
        lines: lines.filter((l) => l.counted && isOff(l)).length,
        lines2: lines.filter((l) => l.counted).length,
      })
    "
  >
    <defs>
      <pattern id="fewer" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="5" height="5" style="fill: var(--bad)" />
        <path d="M0 0v5" stroke="var(--card)" stroke-width="2" />
      </pattern>
    </defs>
    <line x1="2" :x2="width - 2" y1="33" y2="33" class="line" />
    <g v-for="(l, i) in lines" :key="l.code" :transform="`translate(${8 + i * step} 33)`">
      <title>{{ lotName(l) }}: {{ l.counted ? offWords(l, lotCrop(l).piece) : say('notCountedYet') }}</title>
      <rect
        v-if="l.counted && isOff(l)"
        :x="-step * 0.32"
        :width="step * 0.64"
        :y="tall(l) > 0 ? -tall(l) : 0"
        :height="Math.max(3, Math.abs(tall(l)))"
        :class="tall(l) > 0 ? 'more' : 'fewer'"
      />
      <circle v-else :r="l.counted ? 3 : 2.4" :class="l.counted ? 'same' : 'open'" />
    </g>
  </svg>
</template>

<style scoped>
.rope {
  width: 100%;
  display: block;
}
.line {
  stroke: var(--rope);
  stroke-width: 2;
}
.same {
  fill: var(--ink);
}
.open {
  fill: var(--card);
  stroke: var(--soft);
}
.more {
  fill: var(--cold);
}
.fewer {
  fill: url(#fewer);
}
</style>
