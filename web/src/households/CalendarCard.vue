<script setup lang="ts">
import { calendarFeed, endCalendarAddress, makeCalendarAddress, readCalendarAddress } from '@vadose/contract/exports'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { linkTo } from '../call'
import { useView, write } from '../view'
import { useAttempt } from './attempt'

/** The jobs in the calendar program people have anyway: an address that nobody can guess, and can be taken back. */
const { answer } = useView(readCalendarAddress)
const { attempt, failure, busy } = useAttempt()
const key = computed(() => answer.value?.path?.split('/')[2])
const address = computed(() =>
  key.value ? location.origin + linkTo(calendarFeed, { params: { key: key.value } }) : '',
)
const chosen = (event: FocusEvent) => (event.target as HTMLInputElement).select()
const copied = ref(false)
const make = () => attempt(() => write(makeCalendarAddress, { body: {} }))
const end = () => attempt(() => write(endCalendarAddress, {}))
const copy = () =>
  attempt(async () => {
    await navigator.clipboard.writeText(address.value)
    copied.value = true
    setTimeout(() => (copied.value = false), 3000)
  })
</script>

<template>
  <section class="card stack" aria-label="Calendar">
    <h2>In your calendar</h2>
    <p class="soft">
      Give this address to a calendar program, and the jobs stand there by themselves. Whoever has it reads the jobs,
      and nothing else.
    </p>
    <template v-if="address">
      <ElInput :model-value="address" readonly aria-label="Private address of the calendar" @focus="chosen" />
      <div class="row">
        <ElButton type="primary" @click="copy">{{ copied ? 'Copied' : 'Copy it' }}</ElButton>
        <ElButton :disabled="busy" @click="make">A new address, this one stops</ElButton>
        <ElButton :disabled="busy" @click="end">Stop it</ElButton>
      </div>
    </template>
    <div v-else-if="answer"><ElButton :disabled="busy" @click="make">Make a private address</ElButton></div>
    <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>
  </section>
</template>
