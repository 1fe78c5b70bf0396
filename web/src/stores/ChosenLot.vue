<script setup lang="ts">
import { endSaid } from '@vadose/core/almanac'
import type { StoredLotView } from '@vadose/contract/stores'
import { ElButton } from 'element-plus'
import { lotName } from '../almanac'
import { dateRange, sentence, untilDate, weight } from '../households'
import { say } from './say'
import { sayFact } from '../voice'

/** The lot that was tapped in the house: how long it keeps where it is, and what can be done with it. */
defineProps<{ lot: StoredLotView }>()
defineEmits<{ move: []; open: [] }>()
</script>

<template>
  <section class="card stack" :aria-label="say('chosenLot')">
    <h2>{{ lotName(lot) }} {{ lot.code }}</h2>
    <p v-if="lot.trouble" class="bad">{{ say('cannotBeWorkedOut', { trouble: sayFact(lot.trouble) }) }}</p>
    <template v-if="lot.keeps">
      <p class="soft">
        {{ weight(lot.weightG) }} in {{ lot.place?.toLowerCase() }};
        {{ lot.keeps.overdueSince ? say('itsTimeWasOverOn') : say('inStillSoundUntil') }}
      </p>
      <p class="figure">{{ untilDate(lot.keeps.nineInTenUntil.p50, lot.keeps.beyond) }}</p>
      <p v-if="lot.keeps.overdueSince" class="bad">{{ say('nobodyHasLookedSinceWhat') }}</p>
      <p v-else class="soft">
        {{
          say('chancesInEndsItFirst', {
            dateRange: dateRange(lot.keeps.nineInTenUntil.p10, lot.keeps.nineInTenUntil.p90),
            endedBy: sentence(sayFact(endSaid(lot.keeps.endedBy))),
          })
        }}
      </p>
    </template>
    <p v-else class="soft">
      {{ say('inToBeEatenFirst', { weightG: weight(lot.weightG), place: lot.place?.toLowerCase() }) }}
    </p>
    <div class="row">
      <ElButton type="primary" @click="$emit('move')">{{ say('move') }}</ElButton>
      <ElButton @click="$emit('open')">{{ say('open') }}</ElButton>
      <RouterLink v-if="lot.stage === 'stored'" class="el-button" :to="`/lots/${lot.code}/check`">{{
        say('lookOver')
      }}</RouterLink>
    </div>
  </section>
</template>
