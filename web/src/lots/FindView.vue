<script setup lang="ts">
import { onMounted, ref } from 'vue'
import FindBox from './FindBox.vue'
import ScanTag from './ScanTag.vue'

const box = ref<InstanceType<typeof FindBox>>()
onMounted(() => box.value?.focus())
</script>

<template>
  <div class="stack">
    <h1>Find</h1>
    <p class="soft">By the code on the tag, by crop, bed, variety or place.</p>
    <FindBox ref="box" />
    <ScanTag />
  </div>
</template>
