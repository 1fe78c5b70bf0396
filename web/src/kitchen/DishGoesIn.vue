<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { lotName } from '../almanac'
import { smallUnit } from '../households'
import { Notice, Pick } from '../kit'
import { useDish } from './dish-draft'
import IngredientRow from './IngredientRow.vue'
import { say } from './say'

/** What goes into the pot: lots, and what has none. */
const dish = useDish()
const others = computed(() =>
  dish.from
    .filter(({ code }) => !dish.isIn(code))
    .map((lot) => ({
      id: lot.code,
      label: `${lotName(lot)} ${lot.code}${lot.place ? `, ${lot.place.toLowerCase()}` : ''}`,
    })),
)
const adding = ref<string>()
watch(adding, (code) => {
  const lot = dish.from.find((one) => one.code === code)
  if (lot) dish.put(lot)
  adding.value = undefined
})
</script>

<template>
  <section class="card stack">
    <h2>{{ say('whatGoesIn') }}</h2>
    <IngredientRow
      v-for="(part, i) in dish.parts"
      :key="part.lot.code"
      :part="part"
      @change="dish.parts[i] = $event"
      @drop="dish.parts.splice(i, 1)"
    />
    <Notice v-if="dish.shortOf.length">
      {{ say('notEnoughForItLess', { shortOf: dish.shortOf.join(' and ') }) }}
    </Notice>
    <div class="row">
      <Pick
        v-model="adding"
        :label="say('aLotThatGoesIn')"
        :options="others"
        find
        :placeholder="say('aLotTypeACrop')"
        class="wide"
      />
      <ElButton @click="dish.adds.push({ name: '', weight: '' })">{{ say('somethingWithoutALot') }}</ElButton>
    </div>
    <div v-for="(add, i) in dish.adds" :key="i" class="row">
      <ElInput
        v-model="add.name"
        class="grow"
        maxlength="40"
        :aria-label="say('boughtOrFromTheTap', { i: i + 1 })"
        :placeholder="say('wineButterWater')"
      />
      <ElInput
        v-model="add.weight"
        class="number"
        inputmode="decimal"
        :aria-label="say('itsWeight', { i: i + 1 })"
        :placeholder="say('weight')"
        ><template #suffix>{{ smallUnit() }}</template></ElInput
      >
      <ElButton :aria-label="say('leaveOut', { name: add.name || say('it') })" @click="dish.adds.splice(i, 1)">{{
        say('leaveOut2')
      }}</ElButton>
    </div>
  </section>
</template>

<style scoped>
.number {
  width: 140px;
}
.grow {
  flex: 1;
  min-width: 160px;
}
.row .wide {
  width: min(100%, 380px);
}
</style>
