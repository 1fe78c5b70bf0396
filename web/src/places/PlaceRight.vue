<script setup lang="ts">
import { changePlace, type PlaceView } from '@vadose/contract/places'
import type { PlaceKind } from '@vadose/core/places'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import type { ApiError } from '../call'
import { refused } from '../households'
import { Choices } from '../kit'
import { write } from '../view'

/** A place's name and kind put right: what lies there is forecast anew. */
const props = defineProps<{ place: PlaceView; kinds: { id: PlaceKind; label: string }[] }>()
const emit = defineEmits<{ done: [] }>()
const name = ref(props.place.name)
const kind = ref<PlaceKind | undefined>(props.place.kind)
const refusal = ref<ApiError>()
const changed = computed(
  () => (name.value.trim() && name.value.trim() !== props.place.name) || kind.value !== props.place.kind,
)
async function keep() {
  refusal.value = undefined
  try {
    await write(changePlace, {
      params: { id: props.place.id },
      body: { name: name.value.trim(), ...(kind.value ? { kind: kind.value } : {}) },
    })
    emit('done')
  } catch (error) {
    refusal.value = refused(error)
  }
}
</script>

<template>
  <form class="stack right" @submit.prevent="changed && keep()">
    <ElInput v-model="name" maxlength="40" :aria-label="`Name of ${place.name}`" />
    <Choices v-model="kind" :label="`Kind of ${place.name}`" :options="kinds" />
    <p v-if="kind !== place.kind" class="soft">
      Dark or bright, frost-safe or not, and the air to expect go by the kind; what was measured there stays.
    </p>
    <p v-if="refusal" class="bad" role="alert">{{ refusal.message }}</p>
    <div class="row">
      <ElButton type="primary" native-type="submit" :disabled="!changed">Put right</ElButton>
      <ElButton @click="emit('done')">Leave it</ElButton>
    </div>
  </form>
</template>

<style scoped>
.right {
  padding: 8px 0;
}
</style>
