<script setup lang="ts">
import { brine, saltPctOf } from '@vadose/core/kitchen'
import { computed, ref } from 'vue'
import { gramsFrom, smallUnit, weight } from '../households'
import { Choices, Amount, WeightField } from '../kit'
import { say } from './say'
import { sayFact } from '../voice'
import { Refusal } from '@vadose/core/refusal'

/** Salt for what is in the crock, both ways: how much to weigh out, or how strong it has become. */
const props = defineProps<{ produceG: number }>()
const method = ref<'of-total' | 'of-water' | undefined>('of-total')
const way = ref<'salt' | 'strength' | undefined>('salt')
const percent = ref('2.5')
const water = ref('')
const salt = ref('')
const number = (text: string) => (/^\s*\d+([.,]\d+)?\s*$/.test(text) ? Number(text.replace(',', '.')) : NaN)
const waterG = computed(() => (water.value.trim() === '' ? 0 : (gramsFrom(water.value) ?? NaN)))
const answer = computed(() => {
  try {
    if (way.value === 'strength') {
      const g = gramsFrom(salt.value)
      if (g === null) return undefined
      const pct = saltPctOf(method.value ?? 'of-total', waterG.value, props.produceG, g)
      return {
        figure: `${pct.toFixed(1)} %`,
        note: brine(method.value ?? 'of-total', waterG.value, props.produceG, pct).note,
      }
    }
    const { saltG, note } = brine(method.value ?? 'of-total', waterG.value, props.produceG, number(percent.value))
    return { figure: say('ofSalt', { weight: weight(Math.round(saltG)) }), note }
  } catch (error) {
    return { figure: '', note: error instanceof Refusal ? sayFact(error.says) : String(error) }
  }
})
</script>

<template>
  <section class="card stack">
    <h2>{{ say('salt') }}</h2>
    <div class="row">
      <Choices
        v-model="way"
        :label="say('whatIsAsked')"
        :options="[
          { id: 'salt', label: say('howMuchSalt') },
          { id: 'strength', label: say('howStrongItIs') },
        ]"
      />
      <Choices
        v-model="method"
        :label="say('perCentOfWhat')"
        :options="[
          { id: 'of-total', label: say('ofProduceAndWater') },
          { id: 'of-water', label: say('ofTheWater') },
        ]"
      />
    </div>
    <div class="row">
      <WeightField v-model="water" :label="say('water')" :unit="smallUnit()" :placeholder="say('none')" />
      <Amount
        v-if="way === 'salt'"
        v-model="percent"
        :step="0.5"
        :label="say('strength')"
        :says="say('saltPerCent')"
        unit="%"
      />
      <WeightField v-else v-model="salt" :label="say('saltPutIn')" :unit="smallUnit()" />
      <p v-if="answer" class="figure">{{ answer.figure }}</p>
    </div>
    <p v-if="answer" class="soft">{{ answer.note }}</p>
  </section>
</template>
