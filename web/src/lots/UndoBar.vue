<script setup lang="ts">
import { ElButton } from 'element-plus'
import { useLastAct } from './last-act'
import { sayFact } from '../voice'
import { say } from './say'
import { IconClose, IconUndo } from '../kit'

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
    <ElButton v-if="last.kept" :disabled="last.busy" @click="last.undo()"
      ><IconUndo class="icon" aria-hidden="true" />{{ say('undo') }}</ElButton
    >
    <ElButton text :aria-label="say('letItStand')" @click="last.forget()"
      ><IconClose class="icon alone" aria-hidden="true"
    /></ElButton>
  </div>
</template>

<style scoped>
.undo {
  position: sticky;
  top: 0;
  z-index: 15;
  display: flex;
  align-items: center;
  gap: var(--s-8);
  padding: var(--s-6) var(--s-8) var(--s-6) var(--s-12);
  margin-bottom: var(--s-12);
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
