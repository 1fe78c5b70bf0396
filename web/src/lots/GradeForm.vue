<script setup lang="ts">
import type { LotRow } from '@vadose/contract/lots'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { lotCrop } from '../almanac'
import { amount } from '../households'
import { useAct } from './act'
import { gradesFrom } from './grades'
import GradeRows, { type GradeEntries } from './GradeRows.vue'
import { say } from './say'
import { Notice } from '../kit'

const props = defineProps<{ lot: LotRow }>()
const emit = defineEmits<{ done: [] }>()
const crop = computed(() => lotCrop(props.lot))
const entries = ref<GradeEntries>({})
const grades = computed(() => gradesFrom(entries.value))
const { act, refusal, busy } = useAct()
async function keep() {
  if (await act(props.lot.code, { act: 'grade', grades: grades.value! })) emit('done')
}
</script>

<template>
  <form class="card stack" @submit.prevent="keep">
    <h2>{{ say('sortBySize') }}</h2>
    <p class="soft">
      {{
        say('eachSizeYouWeighBecomes', {
          grading: crop.grading,
          amount: amount(lot.pieces, lot.weightG, crop.piece, lot.guessed),
          code: lot.code,
        })
      }}
    </p>
    <GradeRows v-model="entries" :many="crop.piece.many" />
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    <div class="row">
      <ElButton type="primary" native-type="submit" :disabled="!grades?.length || busy">{{
        say('makeTheLots')
      }}</ElButton>
      <RouterLink class="el-button" :to="`/lots/${lot.code}/sort`">{{ say('pourItOutAndSort') }}</RouterLink>
    </div>
  </form>
</template>
