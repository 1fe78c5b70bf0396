<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { labelSheets, type LabelSheetId } from '@vadose/contract/label-sheets'
import { readLabels, readTag } from '@vadose/contract/labels'
import { linkTo } from '../call'
import { Amount, Field, Pick } from '../kit'
import { useAct } from './act'
import LabelSheet from './LabelSheet.vue'
import { say } from './say'
import { sayWord } from '../voice'

const route = useRoute()
/** one lot, or several: G26-1,G26-2 */
const code = computed(() => String(route.params['code']).toUpperCase())
const codes = computed(() => code.value.split(',').filter(Boolean))
const print = () => window.print()
const tied = ref(false)
const { act, busy } = useAct()
async function tie() {
  for (const one of codes.value) if (!(await act(one, { act: 'tag' }))) return
  tied.value = true
}
const tagOf = (one: string) => linkTo(readTag, { params: { code: one } })
/** Label papers, in words. */
const sheets: Record<LabelSheetId, string> = {
  'a4-21': 'A4 sheet, 21 labels',
  'a4-24': 'A4 sheet, 24 labels',
  'a4-14': 'A4 sheet, 14 labels',
  'letter-30': say('letterSheetLabels'),
  'roll-58': say('mmRoll'),
}
const papers = Object.entries(sheets).map(([id, label]) => ({ id: id as LabelSheetId, label: sayWord(label) }))
const last = localStorage.getItem('label-sheet')
const sheet = ref(last && Object.hasOwn(sheets, last) ? (last as LabelSheetId) : 'a4-21')
const skip = ref('0')
/** of the sheet in hand: a sheet used up is a new one */
const used = computed(() => {
  const { columns, rows } = labelSheets[sheet.value]
  return /^\d+$/.test(skip.value) ? Number(skip.value) % (columns * rows) : 0
})
const pdf = computed(() =>
  linkTo(readLabels, { query: { lots: code.value, sheet: sheet.value, skip: String(used.value) } }),
)
watch(sheet, (next) => {
  skip.value = '0'
  localStorage.setItem('label-sheet', next)
})
</script>

<template>
  <div class="stack">
    <header class="head no-print">
      <h1>{{ say('tagsFor', { codes: codes.length > 1 ? 'yes' : 'no', codes2: codes.join(', ') }) }}</h1>
      <p class="soft">{{ say('mmTieItOnBefore') }}</p>
      <div class="acts">
        <ElButton type="primary" @click="print">{{ say('print') }}</ElButton>
        <a v-if="codes.length === 1" class="el-button" :href="tagOf(code)" :download="`${code}.svg`">{{
          say('saveAsSvg')
        }}</a>
        <RouterLink v-if="codes.length === 1" class="el-button" :to="`/lots/${code}`">{{ say('toTheLot') }}</RouterLink>
      </div>
    </header>
    <div class="halves">
      <div class="tags">
        <img v-for="one in codes" :key="one" class="tag" :src="tagOf(one)" :alt="say('tagOfLotWithA', { one })" />
        <p class="no-print">
          <ElButton :disabled="busy || tied" @click="tie">{{
            tied ? say('tiedOn') : say('printedAndTiedOn')
          }}</ElButton>
        </p>
      </div>
      <form class="card stack no-print" @submit.prevent>
        <div class="row papers">
          <Field :label="say('labelPaper')"
            ><Pick v-model="sheet" class="sheet" :label="say('labelPaper')" :options="papers"
          /></Field>
          <Amount v-if="sheet !== 'roll-58'" v-model="skip" whole :label="say('usedAlreadyOnTheSheet')" />
          <a class="el-button" :href="pdf" target="_blank" rel="noopener">{{
            codes.length > 1 ? say('labelsAsPdf', { codes: codes.length }) : say('labelAsPdf')
          }}</a>
        </div>
        <LabelSheet :sheet="sheet" :used="used" :codes="codes" @start="skip = String($event)" />
      </form>
    </div>
  </div>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 560px) minmax(0, 1fr);
  gap: var(--s-16);
  align-items: start;
}
.tags {
  display: grid;
  gap: var(--s-12);
}
.papers {
  align-items: end;
}
.sheet {
  width: 220px;
}
.tag {
  display: block;
  break-inside: avoid;
  width: 80mm;
  max-width: 100%;
  height: auto;
}
@media screen {
  .tag {
    width: 560px;
  }
}
@media print, (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
