<script setup lang="ts">
import { say } from './say'
</script>

<template>
  <!-- what a chart draws, to be read out or copied -->
  <details class="table">
    <summary>{{ say('asATable') }}</summary>
    <table>
      <slot />
    </table>
  </details>
</template>
