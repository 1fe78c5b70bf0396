<script setup lang="ts">
import type { PlaceView } from '@vadose/contract/places'
import { origins, pantry, unitNames, units, type Form, type Origin, type Unit } from '@vadose/core/almanac'
import { ElButton, ElInput } from 'element-plus'
import { computed } from 'vue'
import { allCrops, cropColour, cropOf, lotCrop } from '../almanac'
import { bareLarge, gramsFrom, largeUnit, shortDate, yearDate } from '../households'
import { Amount, DayField, Pick } from '../kit'
import { countFrom } from '../lots'
import { namedPlaces } from '../places'
import type { StockDraft } from './stock'
import { say } from './say'
import { sayWord } from '../voice'

/** One line of the pad, as it was understood; every part of it can be put right before it is kept. */
const props = defineProps<{ line: StockDraft; places: readonly PlaceView[]; today: string }>()
const emit = defineEmits<{ change: [line: StockDraft]; drop: [] }>()
const set = (change: Partial<StockDraft>) => emit('change', { ...props.line, ...change })
const crops = computed(() => [
  { id: pantry.id, label: say('somethingElse') },
  ...allCrops().map(({ id, name }) => ({ id, label: name })),
])
const forms: { id: Form; label: string }[] = [
  { id: 'fresh', label: say('asItIs') },
  { id: 'frozen', label: 'frozen' },
  { id: 'jarred', label: say('inJars') },
  { id: 'brined', label: say('inBrine') },
  { id: 'dried', label: 'dried' },
  { id: 'cooked', label: 'cooked' },
]
const sourceWords: Record<Origin, string> = {
  grown: say('grownHere'),
  bought: 'bought',
  given: 'given',
  caught: 'caught',
  cooked: 'cooked',
}
const sources = origins.map((id) => ({ id, label: sourceWords[id] }))
const counted = [{ id: '', label: say('pieces') }, ...unitNames.map((id) => ({ id, label: sayWord(units[id]) }))]
const dated = computed(() => {
  const { on, dated } = props.line
  return dated === 'today'
    ? 'today'
    : dated === 'year'
      ? `in ${on.slice(0, 4)}`
      : dated === 'month'
        ? say('about2', { shortDate: shortDate(on) })
        : yearDate(on)
})
const weightText = computed(() =>
  props.line.weightG === null ? '' : bareLarge(props.line.weightG).replace(/\.?0+$/, ''),
)
</script>

<template>
  <article class="line" :class="{ doubtful: line.doubts.length > 0 }" :style="{ '--mark': cropColour(line.crop) }">
    <p class="typed">{{ line.text }}</p>
    <p class="read">
      <strong>{{ lotCrop({ crop: line.crop, form: line.form, name: line.name, unit: line.unit }).name }}</strong><span
        v-if="line.pieces !== null"
        >, {{ line.about && line.weightG === null ? say('about') : '' }}{{ line.pieces }}
        {{
          line.unit
            ? line.pieces === 1
              ? line.unit
              : sayWord(units[line.unit])
            : line.pieces === 1
              ? cropOf(line.crop).piece.one
              : cropOf(line.crop).piece.many
        }}</span
      ><span v-if="line.weightG !== null">, {{ line.about ? say('about') : '' }}{{ weightText }} {{ largeUnit() }}</span
      ><span v-if="line.size">{{ say('each', { size: line.size }) }}</span>
      <span class="soft">
        {{ dated }}<template v-if="line.source !== 'grown'">, {{ sayWord(sourceWords[line.source]) }}</template></span
      >
    </p>
    <p v-for="doubt in line.doubts" :key="doubt" class="bad">▲ {{ doubt }}</p>
    <div class="row">
      <Pick
        :model-value="line.crop"
        :label="say('crop')"
        :options="crops"
        find
        class="mid"
        @update:model-value="set({ crop: $event!, doubts: [] })"
      />
      <ElInput
        :model-value="line.name ?? ''"
        class="mid"
        maxlength="60"
        :aria-label="say('nameOfItsOwn')"
        :placeholder="say('aNameOfItsOwn')"
        @update:model-value="set({ name: $event.trim() ? $event : null })"
      />
      <Pick
        :model-value="line.form"
        :label="say('form')"
        :options="forms"
        class="small"
        @update:model-value="set({ form: $event! })"
      />
      <Amount
        :model-value="line.pieces === null ? '' : String(line.pieces)"
        class="tiny"
        bare
        whole
        :label="say('howMany2')"
        :placeholder="say('count')"
        @update:model-value="set({ pieces: countFrom($event) })"
      />
      <Pick
        :model-value="line.unit ?? ''"
        :label="say('countedIn2')"
        :options="counted"
        class="small"
        @update:model-value="set({ unit: ($event || null) as Unit | null })"
      />
      <ElInput
        :model-value="weightText"
        class="tiny"
        inputmode="decimal"
        :aria-label="say('weight')"
        :placeholder="say('weight2')"
        @update:model-value="set({ weightG: gramsFrom($event, 'kg'), about: false })"
        ><template #suffix>{{ largeUnit() }}</template></ElInput
      >
      <DayField
        :model-value="line.on"
        :label="say('dayItWasPutBy')"
        @update:model-value="set({ on: $event ?? today, dated: 'day' })"
      />
      <Pick
        :model-value="line.source"
        :label="say('whereItIsFrom2')"
        :options="sources"
        class="small"
        @update:model-value="set({ source: $event! })"
      />
      <Pick
        :model-value="line.placeId ?? ''"
        :label="say('shelf')"
        :options="namedPlaces(places)"
        class="mid"
        @update:model-value="set({ placeId: $event || null })"
      />
      <ElButton :aria-label="say('leaveOut', { text: line.text })" @click="$emit('drop')">{{
        say('leaveOut2')
      }}</ElButton>
    </div>
  </article>
</template>

<style scoped>
.line {
  border-left: 5px solid var(--mark);
  padding: var(--s-8) 0 var(--s-8) var(--s-12);
  display: grid;
  gap: var(--s-6);
}
.doubtful {
  background: repeating-linear-gradient(
    135deg,
    transparent 0 10px,
    color-mix(in srgb, var(--bad) 7%, transparent) 10px 12px
  );
}
.typed {
  font-style: italic;
  color: var(--soft);
  margin: 0;
}

.read .soft {
  margin-left: var(--s-8);
}
.read {
  margin: 0;
}
.mid {
  width: 176px;
}
.small {
  width: 128px;
}
.row .el-select.small {
  min-width: 118px;
}
.tiny {
  width: 96px;
}
</style>
