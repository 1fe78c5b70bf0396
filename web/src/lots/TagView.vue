<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { useRoute } from 'vue-router'

const route = useRoute()
const code = computed(() => String(route.params['code']).toUpperCase())
const print = () => window.print()
</script>

<template>
  <div class="stack">
    <header class="head no-print">
      <h1>Tag for {{ code }}</h1>
      <p class="soft">80 × 50 mm; tie it on before anything else is done</p>
      <div class="acts">
        <ElButton type="primary" @click="print">Print</ElButton>
        <a class="el-button" :href="`/api/lots/${code}/tag.svg`" :download="`${code}.svg`">Save as SVG</a>
        <RouterLink class="el-button" :to="`/lots/${code}`">To the lot</RouterLink>
      </div>
    </header>
    <img class="tag" :src="`/api/lots/${code}/tag.svg`" :alt="`Tag of lot ${code} with a QR code of its address`" />
  </div>
</template>

<style scoped>
.tag {
  width: 80mm;
  max-width: 100%;
  height: auto;
}
@media screen {
  .tag {
    width: 560px;
  }
}
</style>
