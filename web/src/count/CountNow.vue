<script setup lang="ts">
import { sayFact } from '../voice'
import type { CountLine } from '@vadose/contract/count'
import { ElButton } from 'element-plus'
import { computed, nextTick, onMounted, ref } from 'vue'
import { cropColour, lotCrop, lotName } from '../almanac'
import { amount, largeUnit, weight } from '../households'
import { saidOf, type Said } from './count'
import ShelfDrawing from './ShelfDrawing.vue'
import { say } from './say'

/** The line that is counted now: typed as it stands, or as expected in one key. */
const props = defineProps<{ line: CountLine; busy: boolean }>()
const emit = defineEmits<{ said: [said: Said]; step: [by: 1 | -1] }>()
/** above so many that lie loose they go on the scale: nobody counts a crate of apples */
const manyPieces = 30
const { pieces, unit, form } = props.line
const byWeight = ref(pieces === null || (unit === null && form === 'fresh' && pieces > manyPieces))
const typed = ref('')
const field = ref<HTMLInputElement>()
onMounted(async () => {
  // its shelf is shown in the same moment
  await nextTick()
  field.value?.focus({ preventScroll: true })
  field.value?.closest('.now')?.scrollIntoView({ block: 'nearest' })
})
const said = computed(() => saidOf(typed.value, byWeight.value))
const crop = computed(() => lotCrop(props.line))
const keep = () => {
  if (said.value && !props.busy) emit('said', said.value)
}
function turn() {
  if (props.line.pieces !== null) byWeight.value = !byWeight.value
  field.value?.focus()
}
function insert(text: string) {
  typed.value += text
  field.value?.focus()
}
function onKey(event: KeyboardEvent) {
  const empty = typed.value.trim() === ''
  const does: (() => void) | undefined = {
    Enter: keep,
    ArrowUp: () => emit('step', -1),
    ArrowDown: () => emit('step', 1),
    ...(empty ? { ' ': keep, ArrowLeft: () => emit('step', -1), w: turn } : {}),
  }[event.key]
  if (!does) return
  event.preventDefault()
  does()
}
</script>

<template>
  <div class="card now" :style="{ '--crop': cropColour(line.crop) }" :data-count="line.code">
    <div>
      <h3>
        {{ lotName(line) }} <span class="soft">{{ line.code }}</span>
      </h3>
      <p class="soft">
        {{ say('expected', { amount: amount(line.pieces, line.weightG, crop.piece), since: sayFact(line.since) }) }}
      </p>
      <div class="row">
        <input
          ref="field"
          v-model="typed"
          class="typed"
          :inputmode="byWeight ? 'decimal' : 'tel'"
          autocomplete="off"
          :aria-label="
            byWeight
              ? say('whatIsThereOf', { lotName: lotName(line), largeUnit: largeUnit() })
              : say('howManyThereAreOf', { lotName: lotName(line) })
          "
          @keydown="onKey"
        />
        <strong v-if="said && 'pieces' in said" class="figure">= {{ said.pieces }}</strong>
        <strong v-else-if="said && 'weightG' in said" class="figure">{{ weight(said.weightG) }}</strong>
        <span v-else-if="typed && !said" class="bad">{{ say('notACountXOr') }}</span>
        <span v-else class="soft">{{ byWeight ? largeUnit() : crop.piece.many }}</span>
      </div>
      <div class="row thumbs">
        <ElButton type="primary" :disabled="!said || busy" @click="keep">{{
          typed ? say('keep') : say('asExpected')
        }}</ElButton>
        <ElButton v-if="!byWeight" :aria-label="say('times')" @click="insert('x')">{{ say('it') }}</ElButton>
        <ElButton :aria-label="say('and')" @click="insert('+')">+</ElButton>
        <ElButton v-if="line.pieces !== null" @click="turn">{{ byWeight ? say('byCount') : say('byWeight') }}</ElButton>
        <ElButton :aria-label="say('theLineBefore')" @click="emit('step', -1)">{{ say('back') }}</ElButton>
      </div>
      <p class="soft keys-said">
        <kbd>{{ say('space') }}</kbd> {{ say('asExpected2') }} <kbd>{{ say('enter') }}</kbd> {{ say('next') }}
        <kbd>↑</kbd> {{ say('back2') }} <kbd>w</kbd> {{ say('byWeight2') }}
      </p>
    </div>
    <ShelfDrawing v-if="!byWeight" :typed="typed" :crop="line.crop" />
  </div>
</template>

<style scoped>
.now {
  border: 2px solid var(--accent);
  margin: var(--s-6) 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 300px);
  gap: var(--s-16);
}
.typed {
  width: 170px;
  height: 54px;
  padding: var(--s-4) var(--s-12);
  border: 1.5px solid var(--accent);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: 650 var(--t-title) var(--font-head);
}
.row,
.keys-said {
  margin-top: var(--s-12);
}
.keys-said kbd {
  color: var(--ink);
}
@media (max-width: 820px) {
  .now {
    grid-template-columns: minmax(0, 1fr);
  }
  .keys-said {
    display: none;
  }
  .typed {
    width: 100%;
  }
  .thumbs .el-button {
    min-height: 48px;
  }
}
</style>
