<script setup lang="ts">
import { setOverride } from '@vadose/contract/almanac'
import { write } from '../view'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { refused } from '../households'
import { numberRows, readNumber, type NumberRow } from './number-words'
import { say } from './say'
import { Figures, Notice, Tip } from '../kit'

const props = defineProps<{ crop: string; editing: boolean }>()
const rows = computed(() => numberRows(props.crop))
const open = ref('')
const text = ref('')
const why = ref('')
const failure = ref('')
watch(
  () => [props.crop, props.editing],
  () => (open.value = ''),
)

function begin(row: NumberRow) {
  open.value = row.path
  text.value = row.shown
  why.value = ''
  failure.value = ''
}

async function keep(row: NumberRow, back = false) {
  const value = back ? null : readNumber(text.value, row.value, row.unit)
  if (value === undefined) {
    failure.value = Array.isArray(row.value) ? say('typeTwoNumbersAsTo') : say('typeOneNumber')
    return
  }
  try {
    await write(setOverride, { body: { crop: props.crop, path: row.path, value, why: why.value } })
    open.value = ''
  } catch (error) {
    failure.value = refused(error).message
  }
}
</script>

<template>
  <Figures class="numbers" :label="say('numbersAndWhereTheyAre')">
    <caption class="visually-hidden">
      {{
        say('numbersAndWhereTheyAre')
      }}
    </caption>
    <tbody>
      <template v-for="row in rows" :key="row.path">
        <tr :class="{ ours: row.ours }">
          <th scope="row">{{ row.label }}</th>
          <td class="value">{{ row.shown }} {{ row.unit }}</td>
          <td class="soft">
            <Tip :says="row.sourceText"
              ><span tabindex="0">{{ row.ours ? say('ourHouse') : row.sourceShort }}</span></Tip
            >
          </td>
          <td v-if="editing">
            <ElButton size="small" @click="begin(row)">{{ say('change') }}</ElButton>
            <ElButton v-if="row.ours" size="small" @click="keep(row, true)">{{ say('putBack') }}</ElButton>
          </td>
        </tr>
        <tr v-if="open === row.path">
          <td colspan="4">
            <form class="row" @submit.prevent="keep(row)">
              <ElInput v-model="text" class="typed" :aria-label="`${row.label}, ${row.unit}`"
                ><template #suffix>{{ row.unit }}</template></ElInput
              >
              <ElInput
                v-model="why"
                class="why"
                maxlength="300"
                :aria-label="say('why')"
                :placeholder="say('whyForNextYear')"
              />
              <ElButton type="primary" native-type="submit">{{ say('keep') }}</ElButton>
              <ElButton @click="open = ''">{{ say('leaveIt') }}</ElButton>
            </form>
            <Notice v-if="failure" bad>{{ failure }}</Notice>
          </td>
        </tr>
      </template>
    </tbody>
  </Figures>
</template>

<style scoped>
.numbers {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--t-note);
}
th {
  text-align: left;
  font-weight: 400;
}
th,
td {
  padding: var(--s-4) var(--s-8) var(--s-4) 0;
  border-bottom: 1px solid var(--line);
  vertical-align: baseline;
}
.value {
  font-weight: 600;
}
.ours th::before {
  content: '◆ ';
  color: var(--accent);
}
.typed {
  width: 190px;
}
.why {
  width: 240px;
}
</style>
