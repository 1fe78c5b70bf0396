<script setup lang="ts">
import type { TableHeap } from './sort-table'

/** A heap's colour with its pattern, so that it is told apart without the colour. */
defineProps<{ heap: TableHeap }>()
</script>

<template>
  <i :class="['swatch', heap.fate, heap.pattern]"></i>
</template>

<style scoped>
.swatch {
  display: block;
  --ink: rgb(255 255 255 / 0.45);
  /* sizes, given, dried, juiced */
  background-color: #7b5b86;
}
.store {
  background-color: #94713b;
}
.eat-first,
.use {
  background-color: #c08d2f;
}
.cook {
  background-color: #c2473d;
}
.plant {
  background-color: #35623a;
}
.freeze {
  background-color: #3f6d94;
}
.feed {
  background-color: #6d7f2b;
}
.compost {
  background-color: #3f7d4c;
}
.bin,
.burn {
  background-color: #5d5666;
}
.stripes {
  background-image: repeating-linear-gradient(135deg, var(--ink) 0 3px, transparent 3px 8px);
}
.cross {
  background-image:
    repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 7px),
    repeating-linear-gradient(135deg, var(--ink) 0 2px, transparent 2px 7px);
}
.dots {
  background-image: radial-gradient(var(--ink) 1.6px, transparent 2px);
  background-size: 7px 7px;
}
.bars {
  background-image: repeating-linear-gradient(90deg, var(--ink) 0 2px, transparent 2px 6px);
}
.grid {
  background-image:
    repeating-linear-gradient(0deg, var(--ink) 0 1.5px, transparent 1.5px 7px),
    repeating-linear-gradient(90deg, var(--ink) 0 1.5px, transparent 1.5px 7px);
}
</style>
