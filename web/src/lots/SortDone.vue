<script setup lang="ts">
import type { LotView } from '@vadose/contract/lots'
import { computed } from 'vue'
import { lotCrop } from '../almanac'
import { amount, longDate, untilDate } from '../households'

/** What a sorting made: lots to tag, and what it did to the dates of the rest. */
const props = defineProps<{
  lot: LotView
  made: { code: string; label: string }[]
  /** nine in ten were sound until, before it was sorted */
  before: string | undefined
}>()
const crop = computed(() => lotCrop(props.lot))
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>Sorted {{ lot.code }}</h1>
      <p class="soft">
        {{
          lot.stage === 'gone'
            ? 'nothing is left of it'
            : `${amount(lot.pieces, lot.weightG, crop.piece, lot.guessed)} went back`
        }}
      </p>
    </header>
    <section v-if="(lot.keeping && before) || made.length" class="card stack">
      <p v-if="lot.keeping && before">
        Back into store: 9 in 10 sound to
        <strong>{{ untilDate(lot.keeping.nineInTenUntil.p50, lot.keeping.beyond) }}</strong>
        <span class="soft"> · was {{ longDate(before) }} with the others among them</span>
      </p>
      <ul class="bare">
        <li v-for="m in made" :key="m.code">
          <RouterLink class="code" :to="`/lots/${m.code}`">{{ m.code }}</RouterLink> {{ m.label.toLowerCase() }} ·
          <RouterLink :to="`/lots/${m.code}/tag`">its tag</RouterLink>
        </li>
      </ul>
    </section>
    <div class="row">
      <RouterLink
        v-if="made.length > 1"
        class="el-button el-button--primary"
        :to="`/lots/${made.map((m) => m.code).join(',')}/tag`"
        >All {{ made.length }} tags</RouterLink
      >
      <RouterLink class="el-button" :to="`/lots/${lot.code}`">To the lot</RouterLink>
      <RouterLink class="el-button" to="/">To the round</RouterLink>
    </div>
  </div>
</template>
