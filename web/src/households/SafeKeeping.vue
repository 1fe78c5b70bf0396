<script setup lang="ts">
import { makeBackup, readBackups } from '@vadose/contract/backup'
import { exportHousehold, importHousehold, type HouseholdFile } from '@vadose/contract/household-file'
import { ElButton } from 'element-plus'
import { ref } from 'vue'
import { householdHere, linkTo } from '../call'
import { FileButton, Notice } from '../kit'
import { useView, write } from '../view'
import { backupWarning } from './backup-warning'
import { refused } from './refused'
import { bytesWords, dayAndTime } from './words'
import { say } from './say'

/** What keeps the record when the disk does not: backups of everything, and one open file of this household. */
const emit = defineEmits<{ brought: [address: string] }>()
const { answer: state } = useView(readBackups)
const failure = ref('')
const busy = ref('')

async function attempt(what: string, work: () => Promise<unknown>) {
  failure.value = ''
  busy.value = what
  try {
    await work()
  } catch (error) {
    failure.value = refused(error).message
  } finally {
    busy.value = ''
  }
}
const backUp = () => attempt('backup', () => write(makeBackup, {}))
const bring = (file: File) =>
  attempt('file', async () => {
    let body: HouseholdFile
    try {
      body = JSON.parse(await file.text()) as HouseholdFile
    } catch {
      throw new Error(say('thatFileIsNoHousehold'))
    }
    const { address } = await write(importHousehold, { body })
    emit('brought', address)
  })
</script>

<template>
  <section class="card stack" :aria-label="say('safeKeeping')">
    <h2>{{ say('safeKeeping') }}</h2>
    <template v-if="state?.folder">
      <p v-if="state.last">
        {{ say('lastGoodBackup') }} <strong>{{ dayAndTime(state.last.at) }}</strong>,
        {{ bytesWords(state.last.bytes) }}, in
        <code>{{ state.folder }}</code>
      </p>
      <p v-else class="soft">{{ say('noBackupYetTheFirst', { folder: state.folder }) }}</p>
      <Notice v-if="backupWarning(state)" bad>{{ backupWarning(state) }}</Notice>
      <p class="soft">
        {{ say('oneIsMadeEveryNight') }}
      </p>
    </template>
    <p v-else-if="state" class="soft">
      {{ say('nothingIsBackedUpBy') }}
    </p>
    <div class="row">
      <ElButton v-if="state?.folder" :disabled="busy !== ''" @click="backUp">
        {{ busy === 'backup' ? say('backingUp') : say('backUpNow') }}
      </ElButton>
      <a v-if="householdHere" class="el-button" :href="linkTo(exportHousehold, {})" download>{{
        say('thisHouseholdOneFile')
      }}</a>
      <FileButton
        :label="say('aHouseholdsFile')"
        accept=".json,application/json"
        :busy="busy === 'file'"
        @file="bring"
        >{{ busy === 'file' ? say('reading') : say('bringAHouseholdFromIts') }}</FileButton
      >
    </div>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
  </section>
</template>

<style scoped>
code {
  overflow-wrap: anywhere;
}
</style>
