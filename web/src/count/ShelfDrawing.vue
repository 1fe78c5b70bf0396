<script setup lang="ts">
import { computed } from 'vue'
import { cropColour } from '../almanac'
import { shelfOf } from './count'
import { say } from './say'

/** The shelf as it is typed, seen from above: rows from the front edge, and those that stand loose. */
const props = defineProps<{ typed: string; crop: string }>()
const shelf = computed(() => shelfOf(props.typed))
const most = 12
const dots = computed(() => {
  const now = shelf.value
  if (!now) return []
  const rows = Math.min(now.rows, 5)
  const inRow = Math.min(now.inRow, most)
  const placed: { x: number; y: number }[] = []
  for (let r = 0; r < rows; r++) for (let i = 0; i < inRow; i++) placed.push({ x: 20 + i * 26, y: 22 + r * 26 })
  const y = 22 + rows * 26 + (rows > 0 ? 4 : 0)
  for (let i = 0; i < Math.min(now.loose, most * 2); i++)
    placed.push({ x: 20 + (i % most) * 26, y: y + Math.floor(i / most) * 26 })
  return placed
})
const height = computed(() => Math.max(92, ...dots.value.map(({ y }) => y + 22)))
const says = computed(() => {
  const now = shelf.value
  if (!now) return say('nothingCountedYet')
  const parts = [
    now.rows ? say('rowOf', { rows: now.rows, inRow: now.inRow }) : '',
    now.loose ? say('loose', { loose: now.loose }) : '',
  ].filter(Boolean)
  return parts.join(' and ') || 'none'
})
</script>

<template>
  <figure class="drawn">
    <svg :viewBox="`0 0 340 ${height}`" role="img" :aria-label="says">
      <rect x="1" y="1" width="338" :height="height - 2" rx="4" class="wood" />
      <line v-for="y in Math.floor(height / 14)" :key="y" x1="6" x2="334" :y1="y * 14" :y2="y * 14 + 2" class="grain" />
      <g v-for="(d, i) in dots" :key="i" :style="{ '--crop': cropColour(crop) }">
        <circle :cx="d.x" :cy="d.y" r="11" class="jar" />
        <circle :cx="d.x" :cy="d.y" r="6.5" class="lid" />
      </g>
      <text x="332" :y="height - 8" text-anchor="end" class="axis edge">{{ say('frontEdge') }}</text>
    </svg>
    <figcaption class="soft">{{ says }}</figcaption>
  </figure>
</template>

<style scoped>
.drawn {
  margin: 0;
}
svg {
  width: 100%;
  max-width: 380px;
  display: block;
}
.wood {
  fill: color-mix(in srgb, var(--stock) 22%, var(--card));
  stroke: var(--wall);
}
.grain {
  stroke: var(--wall);
  opacity: 0.16;
}
.jar {
  fill: var(--crop);
}
.lid {
  fill: none;
  stroke: var(--card);
  stroke-width: 1.6;
}
.edge {
  font-style: italic;
}
</style>
