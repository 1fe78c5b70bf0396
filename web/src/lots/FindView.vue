<script setup lang="ts">
import { onMounted, ref } from 'vue'
import FindBox from './FindBox.vue'
import ScanTag from './ScanTag.vue'
import { say } from './say'

const box = ref<InstanceType<typeof FindBox>>()
onMounted(() => box.value?.focus())
</script>

<template>
  <div class="stack">
    <h1>{{ say('find') }}</h1>
    <p class="soft">{{ say('byTheCodeOnThe') }}</p>
    <FindBox ref="box" />
    <ScanTag />
  </div>
</template>
