<script setup lang="ts">
import { readBackups } from '@vadose/contract/backup'
import { computed } from 'vue'
import { useView } from '../view'
import { backupWarning } from './backup-warning'
import { say } from './say'

const { answer } = useView(readBackups)
const warning = computed(() => answer.value && backupWarning(answer.value))
</script>

<template>
  <p v-if="warning" class="notice bad" role="alert">
    {{ warning }} <RouterLink to="/household">{{ say('safeKeeping') }}</RouterLink>
  </p>
</template>
