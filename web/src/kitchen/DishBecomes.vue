<script setup lang="ts">
import { ElInput } from 'element-plus'
import { largeUnit, smallUnit, weight } from '../households'
import { Choices, NumberField, Pick } from '../kit'
import { namedPlaces } from '../places'
import { dishForms, unitsFor } from './dish'
import { useDish } from './dish-draft'
import PotFlow from './PotFlow.vue'

/** What the pot becomes: its form, name and count, what it weighs, where it goes; drawn to weight. */
const dish = useDish()
</script>

<template>
  <section class="card stack">
    <h2>What it becomes</h2>
    <Choices
      :model-value="dish.form"
      label="What becomes of it"
      :options="dishForms"
      @update:model-value="$event && dish.become($event)"
    />
    <div class="row">
      <label class="field grow"
        >Its name
        <ElInput v-model="dish.typed.named" maxlength="60" aria-label="Name of it" placeholder="Braised red cabbage"
      /></label>
      <NumberField v-model="dish.typed.count" label="How many" says="How many of them" whole />
      <Pick v-model="dish.unit" label="Counted in" :options="unitsFor(dish.form)" class="unit" />
      <Pick v-model="dish.placeId" label="Where it goes" :options="namedPlaces(dish.places ?? [])" class="unit" />
      <Pick
        v-if="dish.tops.length > 1"
        v-model="dish.into"
        label="New, or topped up"
        :options="dish.tops"
        placeholder="into new ones"
        class="unit"
      />
    </div>
    <div class="row">
      <NumberField
        v-model="dish.typed.ready"
        label="Ready, all together"
        says="Weight ready"
        :unit="largeUnit()"
        placeholder="not weighed"
      />
      <NumberField
        v-model="dish.typed.waste"
        label="Trimmings"
        says="Weight of the trimmings"
        :unit="smallUnit()"
        placeholder="not weighed"
      />
      <label v-if="dish.form === 'jarred' || dish.form === 'brined'" class="field"
        >Size
        <ElInput v-model="dish.typed.size" class="size" maxlength="20" aria-label="Size of one" placeholder="0.5 L"
      /></label>
      <label class="field grow"
        >How
        <ElInput
          v-model="dish.typed.prepared"
          maxlength="60"
          aria-label="How it is prepared"
          :placeholder="dishForms.find(({ id }) => id === dish.form)?.prepared ?? ''"
      /></label>
    </div>
    <div v-if="dish.roastable" class="row">
      <Choices
        :model-value="dish.roasted ? 'roasted' : 'dried'"
        label="Roasted or only dried"
        :options="[
          { id: 'dried', label: 'Only dried' },
          { id: 'roasted', label: 'Roasted' },
        ]"
        @update:model-value="dish.typed.prepared = $event === 'roasted' ? 'roasted' : ''"
      />
      <p v-if="dish.roasted" class="soft grow">
        About {{ weight(dish.roastedTo) }} come out of the oven. Let them cool completely before the jar closes: warm
        ones steam, and mould. At their best for three months.
      </p>
    </div>
    <template v-if="dish.form === 'jarred'">
      <div class="row">
        <label class="field grow"
          >Tested recipe
          <ElInput
            v-model="dish.typed.recipe"
            maxlength="80"
            aria-label="Tested recipe"
            placeholder="its name and where it stands"
        /></label>
        <label class="field grow"
          >Processed
          <ElInput
            v-model="dish.typed.processed"
            maxlength="80"
            aria-label="How it was processed"
            placeholder="as the recipe says, for our height"
        /></label>
      </div>
      <p class="notice">
        No times are given here: low-acid food in jars needs a pressure canner and a tested recipe, corrected for
        altitude, and botulism gives no smell. Ask your local food-safety authority for tested recipes. Lids are looked
        at tomorrow.
      </p>
    </template>
    <NumberField
      v-if="dish.form === 'brined'"
      v-model="dish.typed.taste"
      label="First tasted after"
      says="Days until it is tasted"
      unit="days"
      whole
    />
    <PotFlow
      v-if="dish.balance.inG > 0"
      :parts="dish.flow"
      :out-g="dish.balance.outG"
      :water-g="Math.max(0, dish.balance.waterG)"
      :waste-g="dish.balance.wasteG"
      :makes="dish.makes"
    />
    <p v-if="dish.balance.waterG < 0" class="bad" role="alert">
      {{ weight(0 - dish.balance.waterG) }} more comes out than goes in: say what else went in, water too.
    </p>
    <p v-else-if="dish.balance.inG > 0 && dish.pieces" class="soft">
      {{ weight(dish.balance.outG / dish.pieces) }} in each.
    </p>
  </section>
</template>

<style scoped>
.grow {
  flex: 1;
  min-width: 160px;
}
.size {
  width: 120px;
}
.row {
  align-items: end;
}
.row .unit {
  width: 170px;
}
</style>
