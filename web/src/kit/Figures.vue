<template>
  <!-- runs sideways on a narrow screen, by finger or by keys -->
  <div class="figures-frame" tabindex="0" role="region" :aria-label="label">
    <table class="figures-table">
      <slot />
    </table>
  </div>
</template>

<script setup lang="ts">
/**
 * A table of figures. Element Plus' own table was tried: it sets head and body as two tables and knows no row headings,
 * so that whoever has a cell read out hears neither its column nor its row.
 */
defineProps<{ label: string }>()
</script>
