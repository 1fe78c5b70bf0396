<script setup lang="ts">
import type { KeepingView } from '@vadose/contract/lots'
import { longerWords, seenWords } from './learnt-words'

/** What a lot's dates stand on besides the books, with the way to all that was learnt of its crop. */
defineProps<{ learnt: NonNullable<KeepingView['learnt']>; crop: string }>()
</script>

<template>
  <p>
    {{ learnt.variety ?? 'It' }} keeps {{ longerWords(learnt.times) }} here
    <RouterLink class="soft" :to="`/almanac/${crop}`">{{
      learnt.lots ? `learnt from ${seenWords(learnt)}` : 'as you said'
    }}</RouterLink>
  </p>
</template>
