<script setup lang="ts">
import { addPlace, changePlace, joinPlace, retirePlace, type PlaceView } from '@vadose/contract/places'
import type { PlaceKind } from '@vadose/core/places'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { useAttempt } from '../households'
import { Choices, Pick } from '../kit'
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
const light = ref<'dark' | 'bright' | undefined>(props.place.dark ? 'dark' : 'bright')
const part = ref('')
const into = ref<string>()
const others = computed(() =>
  props.places
    .filter((p) => p.id !== props.place.id && p.within !== props.place.id && p.kind !== 'outdoors')
    .map((p) => ({ id: p.id, label: p.name })),
)
const changed = computed(
  () =>
    (name.value.trim() && name.value.trim() !== props.place.name) ||
    kind.value !== props.place.kind ||
    (light.value === 'dark') !== props.place.dark,
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
        ...((light.value === 'dark') === props.place.dark ? {} : { dark: light.value === 'dark' }),
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
      <Choices
        v-model="light"
        :label="`Light in ${place.name}`"
        :options="[
          { id: 'dark', label: 'dark' },
          { id: 'bright', label: 'light comes in' },
        ]"
      />
      <p v-if="kind !== place.kind" class="soft">
        Frost-safe or not, heated or not, and the air to expect go by the kind; what was measured there stays.
      </p>
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
</style>
