<script setup lang="ts">
import { calendarFeed, endCalendarAddress, makeCalendarAddress, readCalendarAddress } from '@vadose/contract/exports'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { linkTo } from '../call'
import { useView, write } from '../view'
import { useAttempt } from './attempt'
import { say } from './say'
import { Notice } from '../kit'

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
  <section class="card stack" :aria-label="say('calendar')">
    <h2>{{ say('inYourCalendar') }}</h2>
    <p class="soft">
      {{ say('giveThisAddressToA') }}
    </p>
    <template v-if="address">
      <ElInput :model-value="address" readonly :aria-label="say('privateAddressOfTheCalendar')" @focus="chosen" />
      <div class="row">
        <ElButton type="primary" @click="copy">{{ copied ? say('copied') : say('copyIt') }}</ElButton>
        <ElButton :disabled="busy" @click="make">{{ say('aNewAddressThisOne') }}</ElButton>
        <ElButton :disabled="busy" @click="end">{{ say('stopIt') }}</ElButton>
      </div>
    </template>
    <div v-else-if="answer">
      <ElButton :disabled="busy" @click="make">{{ say('makeAPrivateAddress') }}</ElButton>
    </div>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
  </section>
</template>
