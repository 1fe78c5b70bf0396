<script setup lang="ts">
import { readBackups } from '@vadose/contract/backup'
import { computed } from 'vue'
import { useView } from '../view'
import { backupWarning } from './backup-warning'
import { say } from './say'
import { Notice } from '../kit'

const { answer } = useView(readBackups)
const warning = computed(() => answer.value && backupWarning(answer.value))
</script>

<template>
  <Notice v-if="warning" bad>
    {{ warning }} <RouterLink to="/household">{{ say('safeKeeping') }}</RouterLink>
  </Notice>
</template>
