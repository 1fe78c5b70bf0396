<script setup lang="ts">
import type { StandView } from '@vadose/contract/beds'
import type { IntakeMemory } from '@vadose/contract/intake'
import { ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { allCrops } from '../almanac'
import { Choices, Field, Pick } from '../kit'
import BedLook from './BedLook.vue'
import { say } from './say'

/** A bed nothing was written down of yet: named, then looked at. */
const props = defineProps<{ memory: IntakeMemory[] }>()
const emit = defineEmits<{ kept: [] }>()
const crop = ref<string>()
const variety = ref('')
const bed = ref('')
const growsIn = ref<StandView['growsIn'] | undefined>('bed')
const crops = computed(() => {
  const before = props.memory.map((m) => m.crop)
  const rank = (id: string) => (before.includes(id) ? before.indexOf(id) : before.length)
  return allCrops()
    .map(({ id, name }) => ({ id, label: name }))
    .sort((a, b) => rank(a.id) - rank(b.id) || a.label.localeCompare(b.label))
})
const at = computed(() =>
  crop.value && bed.value.trim()
    ? {
        crop: crop.value,
        variety: variety.value.trim() || null,
        bed: bed.value.trim(),
        growsIn: growsIn.value ?? ('bed' as const),
      }
    : undefined,
)
</script>

<template>
  <section class="card stack">
    <h2>{{ say('anotherBed') }}</h2>
    <div class="row">
      <Field :label="say('whatGrowsThere')"
        ><Pick v-model="crop" :label="say('whatGrowsThere')" find :options="crops" class="crop"
      /></Field>
      <Field :label="say('bedOrPots')"><ElInput v-model="bed" maxlength="60" :placeholder="say('bed')" /></Field>
      <Field :label="say('variety')"
        ><ElInput v-model="variety" maxlength="60" :placeholder="say('ifYouKnowIt')"
      /></Field>
    </div>
    <Choices
      v-model="growsIn"
      :label="say('whereItGrows')"
      :options="[
        { id: 'bed', label: 'a bed' },
        { id: 'pot', label: say('potsInTheOpen') },
        { id: 'roofed', label: say('potsUnderARoof') },
      ]"
    />
    <BedLook v-if="at" :key="at.crop" :at="at" :planted="false" @kept="emit('kept')" />
    <p v-else class="soft">{{ say('nameTheCropAndThe') }}</p>
  </section>
</template>

<style scoped>
.crop {
  width: 220px;
}
@media (max-width: 820px) {
  .crop {
    width: 100%;
  }
}
</style>
