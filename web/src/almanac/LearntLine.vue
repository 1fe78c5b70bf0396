<script setup lang="ts">
import type { KeepingView } from '@vadose/contract/lots'
import { longerWords, seenWords } from './learnt-words'
import { say } from './say'

/** What a lot's dates stand on besides the books, with the way to all that was learnt of its crop. */
defineProps<{ learnt: NonNullable<KeepingView['learnt']>; crop: string }>()
</script>

<template>
  <p>
    {{ say('keepsHere', { variety: learnt.variety ?? say('it'), longerWords: longerWords(learnt.times) }) }}
    <RouterLink class="soft" :to="`/almanac/${crop}`">{{
      learnt.lots ? say('learntFrom', { seenWords: seenWords(learnt) }) : say('asYouSaid')
    }}</RouterLink>
  </p>
</template>
