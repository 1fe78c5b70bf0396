<script setup lang="ts">
import { Figures, Fold } from '../kit'
import { say } from './say'
</script>

<template>
  <!-- what a chart draws, to be read out or copied -->
  <Fold :label="say('asATable')">
    <Figures :label="say('asATable')"><slot /></Figures>
  </Fold>
</template>
