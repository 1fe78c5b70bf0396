<script setup lang="ts">
import { addPlace, changePlace, joinPlace, retirePlace, type PlaceView } from '@vadose/contract/places'
import type { PlaceKind } from '@vadose/core/places'
import { ElButton, ElInput } from 'element-plus'
import { computed, reactive, ref, watch } from 'vue'
import { useAttempt } from '../households'
import { Choices, NumberField, Pick } from '../kit'
import { write } from '../view'

/** A place put right: its name and kind, what it is divided into, what it is one with, whether it is used at all. */
const props = defineProps<{
  place: PlaceView
  places: PlaceView[]
  kinds: { id: PlaceKind; label: string; detail: string }[]
}>()
const emit = defineEmits<{ done: [] }>()
const { attempt, failure, busy } = useAttempt()
const name = ref(props.place.name)
const kind = ref<PlaceKind | undefined>(props.place.kind)
/** what a place is like, each with the two words for it */
const traits = [
  { id: 'dark', yes: 'dark', no: 'light comes in' },
  { id: 'heated', yes: 'heated', no: 'not heated' },
  { id: 'frostSafe', yes: 'frost-safe', no: 'frost gets in' },
  { id: 'mice', yes: 'mice get in', no: 'no mice' },
] as const
type Trait = (typeof traits)[number]['id']
const like = reactive(
  Object.fromEntries(traits.map(({ id }) => [id, props.place[id] ? 'yes' : 'no'])) as Record<Trait, 'yes' | 'no'>,
)
const storey = ref<PlaceView['storey'] | undefined>(props.place.storey)
const cold = computed(() => kind.value === 'freezer' || kind.value === 'fridge')
const room = ref(String((cold.value ? props.place.litres : props.place.holdsKg) ?? ''))
watch(cold, () => (room.value = ''))
const roomTyped = computed(() => (room.value.trim() === '' ? null : Number(room.value.replace(',', '.'))))
const storeyOptions: { id: PlaceView['storey']; label: string }[] = [
  { id: 'roof', label: 'under the roof' },
  { id: 'floor', label: 'on a floor' },
  { id: 'side', label: 'beside the house' },
  { id: 'under', label: 'under the house' },
  { id: 'garden', label: 'in the garden' },
]
const part = ref('')
const into = ref<string>()
const others = computed(() =>
  props.places
    .filter((p) => p.id !== props.place.id && p.within !== props.place.id && p.kind !== 'outdoors')
    .map((p) => ({ id: p.id, label: p.name })),
)
/** what is said now that was not so before */
const said = computed(() => {
  const { place } = props
  const now = Object.fromEntries(
    traits.flatMap(({ id }) => ((like[id] === 'yes') === place[id] ? [] : [[id, like[id] === 'yes']])),
  ) as Partial<Record<Trait, boolean>>
  const key = cold.value ? 'litres' : 'holdsKg'
  return {
    ...now,
    ...(storey.value && storey.value !== place.storey ? { storey: storey.value } : {}),
    ...(roomTyped.value === place[key] || Number.isNaN(roomTyped.value) ? {} : { [key]: roomTyped.value }),
  }
})
const changed = computed(
  () =>
    (name.value.trim() && name.value.trim() !== props.place.name) ||
    kind.value !== props.place.kind ||
    Object.keys(said.value).length > 0,
)
const params = { id: props.place.id }
const finish = async (work: () => Promise<unknown>) => void ((await attempt(work)) && emit('done'))
const keep = () =>
  finish(() =>
    write(changePlace, {
      params,
      body: {
        name: name.value.trim(),
        ...(kind.value ? { kind: kind.value } : {}),
        ...said.value,
      },
    }),
  )
const divide = () =>
  finish(() => write(addPlace, { body: { name: part.value.trim(), kind: props.place.kind, within: props.place.id } }))
const join = () => finish(() => write(joinPlace, { params, body: { into: into.value! } }))
const retire = () => finish(() => write(retirePlace, { params, body: { retired: true } }))
</script>

<template>
  <div class="stack right">
    <form class="stack" @submit.prevent="changed && keep()">
      <ElInput v-model="name" maxlength="40" :aria-label="`Name of ${place.name}`" />
      <Choices v-if="!place.within" v-model="kind" :label="`Kind of ${place.name}`" :options="kinds" />
      <div v-if="!cold" class="traits">
        <Choices
          v-for="t in traits"
          :key="t.id"
          v-model="like[t.id]"
          :label="`${t.yes} or not: ${place.name}`"
          :options="[
            { id: 'yes', label: t.yes },
            { id: 'no', label: t.no },
          ]"
        />
      </div>
      <div class="row">
        <Pick
          v-if="!place.within"
          v-model="storey"
          :label="`Where ${place.name} is`"
          :options="storeyOptions"
          class="into"
        />
        <NumberField
          v-model="room"
          :label="cold ? 'Holds' : 'Room for'"
          :says="cold ? `Litres ${place.name} holds` : `Kilos there is room for in ${place.name}`"
          :unit="cold ? 'L' : 'kg'"
          placeholder="not said"
        />
      </div>
      <p v-if="kind !== place.kind" class="soft">The air to expect goes by the kind; what was measured there stays.</p>
      <div class="row">
        <ElButton type="primary" native-type="submit" :disabled="!changed || busy">Put right</ElButton>
        <ElButton @click="emit('done')">Leave it</ElButton>
      </div>
    </form>
    <p v-if="failure" class="bad" role="alert">{{ failure }}</p>
    <form v-if="!place.within" class="row" @submit.prevent="divide">
      <ElInput
        v-model="part"
        maxlength="30"
        :aria-label="`A part of ${place.name}`"
        placeholder="a shelf, rack or basket"
      />
      <ElButton native-type="submit" :disabled="!part.trim() || busy">Divide</ElButton>
      <span class="soft">has the air of {{ place.name }} until it is measured itself</span>
    </form>
    <div v-if="place.kind !== 'outdoors'" class="row">
      <Pick
        v-model="into"
        :label="`${place.name} is one with`"
        :options="others"
        placeholder="it is one with …"
        class="into"
      />
      <ElButton :disabled="!into || busy" @click="join">Join them</ElButton>
      <ElButton :disabled="busy" @click="retire">Out of use</ElButton>
      <span class="soft">joined: all that lies there goes over; each move stands in its lot</span>
    </div>
  </div>
</template>

<style scoped>
.right {
  padding: 8px 0;
  gap: 12px;
}
.row .el-input,
.into {
  width: 230px;
}
.traits {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
}
</style>
