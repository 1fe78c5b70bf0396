<script setup lang="ts">
import { addPlace, changePlace, joinPlace, retirePlace, type PlaceView } from '@vadose/contract/places'
import type { PlaceKind } from '@vadose/core/places'
import { ElButton, ElInput } from 'element-plus'
import { computed, reactive, ref, watch } from 'vue'
import { useAttempt } from '../households'
import { Choices, Notice, Amount, Pick } from '../kit'
import { write } from '../view'
import { say } from './say'

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
  { id: 'dark', yes: 'dark', no: say('lightComesIn') },
  { id: 'heated', yes: 'heated', no: say('notHeated') },
  { id: 'frostSafe', yes: 'frost-safe', no: say('frostGetsIn') },
  { id: 'mice', yes: say('miceGetIn'), no: say('noMice') },
] as const
type Trait = (typeof traits)[number]['id']
const like = reactive(
  Object.fromEntries(traits.map(({ id }) => [id, props.place[id] ? 'yes' : 'no'])) as Record<Trait, 'yes' | 'no'>,
)
const storey = ref<PlaceView['storey'] | undefined>(props.place.storey)
const cold = computed(() => kind.value === 'freezer' || kind.value === 'fridge')
const roomOf = ({ litres, holdsKg }: PlaceView) => String((cold.value ? litres : holdsKg) ?? '')
const room = ref(roomOf(props.place))
watch(cold, () => (room.value = ''))
// opened before what was put right a moment ago has come back: what nobody has touched since follows
watch(
  () => props.place,
  (now, before) => {
    if (name.value === before.name) name.value = now.name
    if (kind.value === before.kind) kind.value = now.kind
    if (storey.value === before.storey) storey.value = now.storey
    if (room.value === roomOf(before)) room.value = roomOf(now)
    for (const { id } of traits) if ((like[id] === 'yes') === before[id]) like[id] = now[id] ? 'yes' : 'no'
  },
)
const roomTyped = computed(() => (room.value.trim() === '' ? null : Number(room.value.replace(',', '.'))))
const storeyOptions: { id: PlaceView['storey']; label: string }[] = [
  { id: 'roof', label: say('underTheRoof') },
  { id: 'floor', label: say('onAFloor') },
  { id: 'side', label: say('besideTheHouse') },
  { id: 'under', label: say('underTheHouse') },
  { id: 'garden', label: say('inTheGarden') },
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
      <ElInput v-model="name" maxlength="40" :aria-label="say('nameOf', { name: place.name })" />
      <Choices v-if="!place.within" v-model="kind" :label="say('kindOf', { name: place.name })" :options="kinds" />
      <div v-if="!cold" class="traits">
        <Choices
          v-for="t in traits"
          :key="t.id"
          v-model="like[t.id]"
          :label="say('orNot', { yes: t.yes, name: place.name })"
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
          :label="say('whereIs', { name: place.name })"
          :options="storeyOptions"
          class="into"
        />
        <Amount
          v-model="room"
          :step="10"
          :label="cold ? say('holds') : say('roomFor')"
          :says="cold ? say('litresHolds', { name: place.name }) : say('kilosThereIsRoomFor', { name: place.name })"
          :unit="cold ? say('l') : 'kg'"
          :placeholder="say('notSaid')"
        />
      </div>
      <p v-if="kind !== place.kind" class="soft">{{ say('theAirToExpectGoes') }}</p>
      <div class="row">
        <ElButton type="primary" native-type="submit" :disabled="!changed || busy">{{ say('putRight') }}</ElButton>
        <ElButton @click="emit('done')">{{ say('leaveIt') }}</ElButton>
      </div>
    </form>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
    <form v-if="!place.within" class="row" @submit.prevent="divide">
      <ElInput
        v-model="part"
        maxlength="30"
        :aria-label="say('aPartOf', { name: place.name })"
        :placeholder="say('aShelfRackOrBasket')"
      />
      <ElButton native-type="submit" :disabled="!part.trim() || busy">{{ say('divide') }}</ElButton>
      <span class="soft">{{ say('hasTheAirOfUntil', { name: place.name }) }}</span>
    </form>
    <div v-if="place.kind !== 'outdoors'" class="row">
      <Pick
        v-model="into"
        :label="say('isOneWith', { name: place.name })"
        :options="others"
        :placeholder="say('itIsOneWith')"
        class="into"
      />
      <ElButton :disabled="!into || busy" @click="join">{{ say('joinThem') }}</ElButton>
      <ElButton :disabled="busy" @click="retire">{{ say('outOfUse') }}</ElButton>
      <span class="soft">{{ say('joinedAllThatLiesThere') }}</span>
    </div>
  </div>
</template>

<style scoped>
.right {
  padding: var(--s-8) 0;
  gap: var(--s-12);
}
.row .el-input,
.into {
  width: 230px;
}
.traits {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-8) var(--s-24);
}
</style>
