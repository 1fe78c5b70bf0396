<script setup lang="ts">
import { keepBack } from '@vadose/core/year'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import type { Crop } from '../almanac'
import { weight } from '../households'
import { Choices } from '../kit'
import { say } from './say'

/** How many to put by for planting, and whether the largest or the smallest: what is eaten now, what comes next year. */
const props = defineProps<{ crop: Crop; totalG: number | null; pieces: number | null }>()
const emit = defineEmits<{ take: [weightG: number, pieces: number] }>()
const text = ref('')
const by = ref<'number' | 'share' | undefined>('number')
const pieces = computed(
  () => props.pieces ?? (props.totalG ? Math.max(2, Math.round(props.totalG / props.crop.pieceG.value)) : null),
)
const keep = computed(() => {
  const value = Number(text.value.replace(',', '.'))
  if (text.value.trim() === '' || !Number.isFinite(value) || value <= 0 || !pieces.value) return null
  return by.value === 'number' ? Math.round(value) : Math.max(1, Math.round((pieces.value * value) / 100))
})
const choices = computed(() => {
  if (!keep.value || !props.totalG || !pieces.value || keep.value >= pieces.value) return []
  return keepBack(props.totalG, pieces.value, keep.value, props.crop.givesPerPiece!.value)
})
</script>

<template>
  <section class="card stack">
    <h2>{{ say('keepBackForPlanting') }}</h2>
    <p v-if="!totalG" class="soft">{{ say('weighTheHarvestFirst') }}</p>
    <template v-else>
      <div class="row">
        <ElInput
          v-model="text"
          class="short"
          inputmode="decimal"
          :aria-label="say('howManyToKeepBack')"
          placeholder="0"
        />
        <Choices
          v-model="by"
          :label="say('numberOrShare')"
          :options="[
            { id: 'number', label: crop.piece.many },
            { id: 'share', label: '%' },
          ]"
        />
        <span class="soft">{{ say('of', { pieces: props.pieces ? 'yes' : 'no', pieces2: pieces }) }}</span>
      </div>
      <p v-if="keep && pieces && keep >= pieces" class="bad">{{ say('someMustBeLeftTo') }}</p>
      <ul class="rows">
        <li v-for="c in choices" :key="c.which">
          <p>
            <strong>{{ say('the', { which: c.which, pieces: c.pieces }) }}</strong>, {{ weight(c.weightG) }}
          </p>
          <p class="soft">
            {{
              say('leavesToEatNextYear', {
                leftG: weight(c.leftG),
                nextPieces: c.nextPieces,
                many: crop.piece.many,
                nextG: weight(c.nextG),
              })
            }}
          </p>
          <ElButton @click="emit('take', c.weightG, c.pieces)">{{ say('putThemOnThePlanting') }}</ElButton>
        </li>
      </ul>
      <p class="soft">
        {{ say('plantOnlyWhatIsSound') }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.short {
  width: 84px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  padding: var(--s-8) 0;
}
</style>
