<script setup lang="ts">
import type { LotRow } from '@vadose/contract/lots'
import { feeding } from '@vadose/core/almanac'
import { keepsOf } from '@vadose/core/lots'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { lotCrop } from '../almanac'
import { amount, gramsFrom, isUs, smallUnit } from '../households'
import { Amount, Choices, Field, Notice, Tick } from '../kit'
import { useAct } from './act'
import HowMuch, { type HowMuchOf } from './HowMuch.vue'
import { say } from './say'

const props = defineProps<{ lot: LotRow; kind: 'use' | 'lose' | 'correct' }>()
const emit = defineEmits<{ done: [] }>()
const crop = computed(() => lotCrop(props.lot))
const counted = computed(() => props.lot.pieces !== null)
const taking = ref<HowMuchOf>()
/** what there is really, where it is corrected */
const piecesText = ref(props.lot.pieces === null ? '' : String(props.lot.pieces))
const weightText = ref('')
const why = ref('')
const bed = ref('')
/** peelings and seed kept of it, each with what the scale says, or nothing */
const kept = ref<Partial<Record<'peelings' | 'seed', string>>>({})
const keeps = computed(() => Object.entries(kept.value) as ['peelings' | 'seed', string][])
const toggleKept = (what: 'peelings' | 'seed') => {
  const { [what]: was, ...rest } = kept.value
  kept.value = was === undefined ? { ...rest, [what]: '' } : rest
}
type Whither = 'use' | 'plant' | 'give' | 'feed'
const whither = ref<Whither | undefined>(props.lot.fate === 'plant' ? 'plant' : 'use')
const feed = computed(() => feeding(crop.value))
const whithers = computed(() => [
  { id: 'use' as const, label: say('toTheKitchen') },
  { id: 'plant' as const, label: say('planted') },
  { id: 'give' as const, label: say('givenAway') },
  ...(feed.value.safe ? [{ id: 'feed' as const, label: say('toTheHens') }] : []),
])
type Ending = 'compost' | 'bin' | 'burn'
const ending = ref<Ending | undefined>('compost')
const endings = [
  { id: 'compost', label: say('compost') },
  { id: 'bin', label: say('bin') },
  { id: 'burn', label: say('burnt') },
] as const
const grams = computed(() => gramsFrom(weightText.value))
const { act, refusal, busy } = useAct()
const title = computed(
  () => ({ use: say('howMuchIsTaken'), lose: say('howMuchHasGoneBad'), correct: say('whatIsItReally') })[props.kind],
)
const causes = computed(() => [...crop.value.faults.map((f) => f.label), say('mice'), say('other')])
const pieces = computed(() => (/^\s*\d+\s*$/.test(piecesText.value) ? Number(piecesText.value) : null))
const ready = computed(() =>
  props.kind === 'correct'
    ? grams.value !== null && why.value.trim() !== '' && (!counted.value || pieces.value !== null)
    : taking.value !== undefined && !unread.value && (props.kind !== 'lose' || why.value !== ''),
)

const keptOf = computed(() =>
  keeps.value.map(([what, text]) => ({ what, ...(text.trim() ? { weightG: gramsFrom(text) ?? 0 } : {}) })),
)
const unread = computed(() => keptOf.value.some(({ weightG }) => weightG === 0))

async function keep() {
  const { code } = props.lot
  const to = whither.value ?? 'use'
  const done =
    props.kind === 'correct'
      ? await act(code, {
          act: 'correct',
          weightG: grams.value!,
          why: why.value,
          ...(counted.value ? { pieces: pieces.value! } : {}),
        })
      : props.kind === 'lose'
        ? await act(code, { act: 'lose', cause: why.value, to: ending.value ?? 'compost', ...taking.value! })
        : to === 'feed'
          ? await act(code, { act: 'feed', to: 'hens', ...taking.value! })
          : to === 'plant'
            ? await act(code, {
                act: 'plant',
                ...taking.value!,
                ...(bed.value.trim() ? { bed: bed.value.trim() } : {}),
              })
            : to === 'give'
              ? await act(code, { act: 'give', ...taking.value! })
              : await act(code, {
                  act: 'use',
                  ...taking.value!,
                  ...(keptOf.value.length ? { kept: keptOf.value } : {}),
                })
  if (done) emit('done')
}
</script>

<template>
  <form class="card take" @submit.prevent="keep">
    <h2>{{ title }}</h2>
    <p class="soft">
      {{ say('there', { code: lot.code, amount: amount(lot.pieces, lot.weightG, crop.piece, lot.guessed) }) }}
    </p>
    <HowMuch
      v-if="kind !== 'correct'"
      v-model="taking"
      :of="lot"
      :piece="crop.piece"
      :label="say('howMany', { many: crop.piece.many })"
    />
    <div v-else class="row">
      <Amount v-if="counted" v-model="piecesText" bare whole :label="crop.piece.many" :unit="crop.piece.many" />
      <ElInput
        v-model="weightText"
        class="grams"
        inputmode="decimal"
        :aria-label="say('weightInOunces', { isUs: isUs() ? 'yes' : 'no' })"
        :placeholder="say('weight')"
      >
        <template #suffix>{{ smallUnit() }}</template>
      </ElInput>
      <ElInput v-model="why" :aria-label="say('why')" :placeholder="say('whyForTheRecord')" class="why" />
    </div>
    <Choices v-if="kind === 'use'" v-model="whither" :label="say('whereItGoes')" :options="whithers" />
    <div
      v-if="kind === 'use' && whither === 'use' && lot.form === 'fresh'"
      class="row kept"
      role="group"
      :aria-label="say('keptOfIt')"
    >
      <span class="soft">{{ say('keptOfIt2') }}</span>
      <template v-for="what in keepsOf(crop)" :key="what">
        <Tick :model-value="what in kept" :label="what" @update:model-value="toggleKept(what)" />
        <ElInput
          v-if="what in kept"
          v-model="kept[what]"
          class="grams"
          inputmode="decimal"
          :aria-label="say('weightOfThe', { what })"
          :placeholder="say('notWeighed')"
          ><template #suffix>{{ smallUnit() }}</template></ElInput
        >
      </template>
    </div>
    <Field v-if="kind === 'use' && whither === 'plant'" :label="say('bed')"
      ><ElInput v-model="bed" class="grams" maxlength="60" :placeholder="say('whereItWasPlanted')"
    /></Field>
    <p v-if="kind === 'use' && whither === 'feed'" class="soft">{{ feed.says }}</p>
    <template v-if="kind === 'lose'">
      <Choices
        v-model="why"
        :label="say('whatWentWrong')"
        :options="causes.map((cause) => ({ id: cause, label: cause }))"
      />
      <Choices v-model="ending" :label="say('whereItGoes')" :options="endings" />
    </template>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    <div class="row">
      <ElButton type="primary" native-type="submit" :disabled="!ready || busy">
        {{
          kind === 'use'
            ? whither === 'use'
              ? say('use')
              : say('takeIt')
            : kind === 'lose'
              ? say('writeOff')
              : say('correct')
        }}
      </ElButton>
      <ElButton @click="emit('done')">{{ say('leaveIt') }}</ElButton>
    </div>
  </form>
</template>

<style scoped>
.take {
  display: grid;
  gap: var(--s-12);
}
.grams {
  width: 150px;
}
.why {
  width: 240px;
}
</style>
