<script setup lang="ts">
import { Choices } from '../kit'
import type { IntakeMemory } from '@vadose/contract/intake'
import { findCrops } from '@vadose/core/almanac'
import { ElInput } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { allCrops, cropColour, currentAlmanac, type Crop } from '../almanac'
import { say } from './say'

/** What came in: crops brought in before stand ready, the others are found by name or by what is in the hand. */
const props = defineProps<{ memory: IntakeMemory[] }>()
const crop = defineModel<Crop | undefined>({ required: true })
const query = ref('')
const all = ref(false)
const before = computed(() =>
  props.memory.flatMap((m) => {
    const known = currentAlmanac().byId.get(m.crop)
    return known ? [known] : []
  }),
)
const shown = computed(() => {
  // what has been chosen stands alone, so that the scale comes next on a phone
  if (crop.value && !query.value.trim() && !all.value) return [crop.value]
  if (query.value.trim())
    return findCrops(allCrops(), query.value)
      .slice(0, 12)
      .map((m) => m.crop)
  if (all.value || before.value.length === 0) return [...allCrops()]
  return before.value
})
const find = ref<InstanceType<typeof ElInput>>()
// with a keyboard the name is typed at once; a thumb would only get the keys in its way
onMounted(
  () => !crop.value && window.matchMedia('(pointer: fine) and (min-width: 821px)').matches && find.value?.focus(),
)
const takeCalled = (id: string | undefined) => {
  const next = shown.value.find((c) => c.id === id)
  if (next) take(next)
}
function take(next: Crop) {
  crop.value = next
  query.value = ''
  all.value = false
}
</script>

<template>
  <div class="chooser">
    <h1>{{ say('bringIn') }}</h1>
    <ElInput
      ref="find"
      v-model="query"
      data-words-only
      class="find"
      clearable
      :placeholder="say('anotherCropTypeItsName')"
      :aria-label="say('findWhatCameIn')"
      @keydown.enter.prevent="shown[0] && take(shown[0])"
    />
    <div class="choices">
      <Choices
        :model-value="crop?.id"
        :label="say('whatCameIn')"
        :options="shown.map(({ id, name }) => ({ id, label: name, colour: cropColour(id) }))"
        @update:model-value="takeCalled"
      />
      <button v-if="!query && crop && !all" type="button" class="choice" @click="crop = undefined">
        {{ say('anotherCrop') }}
      </button>
      <button v-else-if="!query && before.length > 0" type="button" class="choice" @click="all = !all">
        {{ all ? say('fewer') : say('all', { allCrops: allCrops().length }) }}
      </button>
      <p v-if="query && shown.length === 0" class="soft">
        {{ say('nothingFits') }} <RouterLink to="/almanac">{{ say('addACropOfYour') }}</RouterLink>
        {{ say('fromTheNearestInThe') }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.chooser {
  display: grid;
  grid-template-columns: auto 280px minmax(0, 1fr);
  gap: var(--s-12) var(--s-16);
  align-items: start;
}
h1 {
  padding-top: var(--s-6);
}
@media (max-width: 1000px) {
  .chooser {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
