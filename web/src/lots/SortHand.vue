<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { gramsFrom, largeUnit } from '../households'
import { Choices, Notice } from '../kit'
import { heapsWithKeys, type Amount } from './sort-table'
import { say } from './say'

/** What is in the hand: counted, weighed, or all that is left; given away by a tap on a heap. */
const props = defineProps<{ counted: boolean; piece: { one: string; many: string } }>()
const emit = defineEmits<{ throwOn: [heap: number] }>()
const by = ref<'pieces' | 'weight' | undefined>(props.counted ? 'pieces' : 'weight')
const text = ref('')
const rest = ref(false)
const problem = ref('')
const field = ref<InstanceType<typeof ElInput>>()
const units = computed(() => [
  { id: 'pieces' as const, label: props.piece.many },
  { id: 'weight' as const, label: largeUnit() },
])
const plus = (n: number) => {
  rest.value = false
  text.value = String((Number(text.value) || 0) + n)
}

const takeRest = () => {
  rest.value = !rest.value
  text.value = ''
}

function read(): Amount | null {
  if (rest.value) return { rest: true }
  if (by.value === 'pieces') return /^\s*[1-9]\d*\s*$/.test(text.value) ? { pieces: Number(text.value) } : null
  const weightG = gramsFrom(text.value, 'kg')
  return weightG === null ? null : { weightG }
}
/** What is in the hand, which is empty afterwards; null where nothing is, and that is said. */
function giveAway(): Amount | null {
  const amount = read()
  problem.value = amount ? '' : say('firstHowMuchThenWhere', { by: by.value === 'weight' ? 'yes' : 'no' })
  if (amount) {
    text.value = ''
    rest.value = false
  }
  field.value?.focus()
  return amount
}
/** Amount and heap typed in one go: “23 4”, “1.2 kg 2”; without a heap it goes back into store. */
function onEnter() {
  const match = new RegExp(`^(.*\\S)\\s+([1-${heapsWithKeys}])\\s*$`).exec(text.value)
  if (match) text.value = match[1]!
  emit('throwOn', match ? Number(match[2]) - 1 : 0)
}
onMounted(() => field.value?.focus())
defineExpose({ giveAway, turn: () => props.counted && (by.value = by.value === 'weight' ? 'pieces' : 'weight') })
</script>

<template>
  <section class="hand" :aria-label="say('inTheHand')">
    <label class="amount"
      ><span>{{ say('inTheHandTheScale', { by: by === 'weight' ? 'yes' : 'no' }) }}</span>
      <ElInput
        ref="field"
        v-model="text"
        :inputmode="by === 'weight' ? 'decimal' : 'numeric'"
        :aria-label="
          by === 'weight'
            ? say('weightInTheHand', { largeUnit: largeUnit() })
            : say('numberOfInTheHand', { many: piece.many })
        "
        :placeholder="rest ? say('allTheRest') : '0'"
        @input="rest = false"
        @keydown.enter.prevent="onEnter"
        ><template #suffix>{{ by === 'weight' ? largeUnit() : piece.many }}</template></ElInput
      >
    </label>
    <Choices
      v-if="counted"
      v-model="by"
      :label="say('countedOrWeighed')"
      :options="units"
      @update:model-value="text = ''"
    />
    <div class="steps">
      <template v-if="by === 'pieces'">
        <ElButton v-for="n in [1, 5, 10, 20]" :key="n" @click="plus(n)">+{{ n }}</ElButton>
      </template>
      <ElButton :aria-pressed="rest" @click="takeRest">{{ say('allTheRest') }}</ElButton>
    </div>
    <p class="soft how">
      {{ say('typeItAndTapA') }} <kbd>{{ say('alt') }}</kbd> {{ say('andItsNumberAnd') }} <kbd>{{ say('enter') }}</kbd>
      {{ say('putsOnTheFourth') }} <kbd>{{ say('enter') }}</kbd> {{ say('alonePutsItBackInto') }}
    </p>
    <Notice v-if="problem" bad>{{ problem }}</Notice>
  </section>
</template>

<style scoped>
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-8) var(--s-12);
  align-content: center;
  align-items: end;
  padding: var(--s-8) var(--s-12);
  border: 2px solid var(--accent);
  border-radius: 10px;
  background: var(--card);
}
.amount span {
  display: block;
  color: var(--soft);
}
.amount :deep(input) {
  font: 700 var(--t-title) var(--font-head);
  height: 46px;
}
.amount .el-input {
  width: 190px;
}
.steps {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-6);
}
.steps .el-button {
  margin: 0;
  min-height: 48px;
}
.how {
  flex-basis: 100%;
  margin: 0;
}
@media (max-width: 820px) {
  .hand {
    padding: var(--s-8) var(--s-8);
  }
  .amount .el-input {
    width: 150px;
  }
  .steps {
    gap: var(--s-4);
  }
  .steps .el-button {
    padding: 0 var(--s-12);
  }
  .how {
    display: none;
  }
}
</style>
