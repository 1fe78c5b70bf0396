<script setup lang="ts">
import { ElButton } from 'element-plus'
import { useLastAct } from './last-act'
import { sayFact } from '../voice'
import { say } from './say'

const last = useLastAct()
</script>

<template>
  <div v-if="last.there" class="undo no-print" role="status">
    <p>
      <RouterLink :to="`/lots/${last.there.code}`">{{ last.there.code }}</RouterLink>:
      <template v-if="last.undone">{{ say('asBefore2') }}</template>
      <span v-else>{{ typeof last.there.says === 'string' ? last.there.says : sayFact(last.there.says) }}</span>
      <span v-if="last.refusal" class="bad"> {{ last.refusal.message }}</span>
    </p>
    <ElButton v-if="last.kept" :disabled="last.busy" @click="last.undo()">{{ say('undo') }}</ElButton>
    <ElButton text :aria-label="say('letItStand')" @click="last.forget()">✕</ElButton>
  </div>
</template>

<style scoped>
.undo {
  position: sticky;
  top: 0;
  z-index: 15;
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 8px 6px 14px;
  margin-bottom: 12px;
  border: 1px solid var(--line);
  border-left: 6px solid var(--stock);
  border-radius: var(--radius);
  background: var(--card);
}
p {
  flex: 1;
  margin: 0;
  min-width: 0;
  overflow-wrap: anywhere;
}
</style>
