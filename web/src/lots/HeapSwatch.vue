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
  flex: none;
  width: 16px;
}
.other {
  min-height: 44px;
  grid-column: 1 / -1;
  align-items: center;
  justify-content: center;
  padding: 10px;
  color: var(--soft);
}
.swatch {
  display: block;
  --ink: rgb(255 255 255 / 0.45);
}
.swatch.store {
  background-color: #94713b;
}
.swatch.eat-first,
.swatch.use {
  background-color: #c08d2f;
}
.swatch.cook,
.swatch.cut-round {
  background-color: #c2473d;
}
.swatch.plant {
  background-color: #35623a;
}
.swatch.freeze {
  background-color: #3f6d94;
}
.swatch.feed {
  background-color: #6d7f2b;
}
.swatch.compost {
  background-color: #3f7d4c;
}
.swatch.bin,
.swatch.burn {
  background-color: #5d5666;
}
.swatch.small,
.swatch.large,
.swatch.give,
.swatch.dry,
.swatch.juice {
  background-color: #7b5b86;
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
