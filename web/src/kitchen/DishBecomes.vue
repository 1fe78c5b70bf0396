<script setup lang="ts">
import { ElInput } from 'element-plus'
import { largeUnit, smallUnit, weight } from '../households'
import { Choices, Field, Notice, Amount, WeightField, Pick } from '../kit'
import { namedPlaces } from '../places'
import { dishForms, unitsFor } from './dish'
import { useDish } from './dish-draft'
import PotFlow from './PotFlow.vue'
import { say } from './say'

/** What the pot becomes: its form, name and count, what it weighs, where it goes; drawn to weight. */
const dish = useDish()
</script>

<template>
  <section class="card stack">
    <h2>{{ say('whatItBecomes') }}</h2>
    <Choices
      :model-value="dish.form"
      :label="say('whatBecomesOfIt')"
      :options="dishForms"
      @update:model-value="$event && dish.become($event)"
    />
    <div class="row">
      <Field class="grow" :label="say('itsName')"
        ><ElInput
          v-model="dish.typed.named"
          maxlength="60"
          :aria-label="say('nameOfIt')"
          :placeholder="say('braisedRedCabbage')"
      /></Field>
      <Amount v-model="dish.typed.count" :label="say('howMany')" :says="say('howManyOfThem')" whole />
      <Pick v-model="dish.unit" :label="say('countedIn')" :options="unitsFor(dish.form)" class="unit" />
      <Pick v-model="dish.placeId" :label="say('whereItGoes')" :options="namedPlaces(dish.places ?? [])" class="unit" />
      <Pick
        v-if="dish.tops.length > 1"
        v-model="dish.into"
        :label="say('newOrToppedUp')"
        :options="dish.tops"
        :placeholder="say('intoNewOnes')"
        class="unit"
      />
    </div>
    <div class="row">
      <WeightField
        v-model="dish.typed.ready"
        :label="say('readyAllTogether')"
        :says="say('weightReady')"
        :unit="largeUnit()"
        :placeholder="say('notWeighed')"
      />
      <WeightField
        v-model="dish.typed.waste"
        :label="say('trimmings')"
        :says="say('weightOfTheTrimmings')"
        :unit="smallUnit()"
        :placeholder="say('notWeighed')"
      />
      <Field v-if="dish.form === 'jarred' || dish.form === 'brined'" :label="say('size')"
        ><ElInput
          v-model="dish.typed.size"
          class="size"
          maxlength="20"
          :aria-label="say('sizeOfOne')"
          :placeholder="say('l')"
      /></Field>
      <Field class="grow" :label="say('how')"
        ><ElInput
          v-model="dish.typed.prepared"
          maxlength="60"
          :aria-label="say('howItIsPrepared')"
          :placeholder="dishForms.find(({ id }) => id === dish.form)?.prepared ?? ''"
      /></Field>
    </div>
    <div v-if="dish.roastable" class="row">
      <Choices
        :model-value="dish.roasted ? 'roasted' : 'dried'"
        :label="say('roastedOrOnlyDried')"
        :options="[
          { id: 'dried', label: say('onlyDried') },
          { id: 'roasted', label: say('roasted') },
        ]"
        @update:model-value="dish.typed.prepared = $event === 'roasted' ? 'roasted' : ''"
      />
      <p v-if="dish.roasted" class="soft grow">
        {{ say('aboutComeOutOfThe', { roastedTo: weight(dish.roastedTo) }) }}
      </p>
    </div>
    <template v-if="dish.form === 'jarred'">
      <div class="row">
        <Field class="grow" :label="say('testedRecipe')"
          ><ElInput
            v-model="dish.typed.recipe"
            maxlength="80"
            :aria-label="say('testedRecipe')"
            :placeholder="say('itsNameAndWhereIt')"
        /></Field>
        <Field class="grow" :label="say('processed')"
          ><ElInput
            v-model="dish.typed.processed"
            maxlength="80"
            :aria-label="say('howItWasProcessed')"
            :placeholder="say('asTheRecipeSaysFor')"
        /></Field>
      </div>
      <Notice>
        {{ say('noTimesAreGivenHere') }}
      </Notice>
    </template>
    <Amount
      v-if="dish.form === 'brined'"
      v-model="dish.typed.taste"
      :label="say('firstTastedAfter')"
      :says="say('daysUntilItIsTasted')"
      :unit="say('days')"
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
    <Notice v-if="dish.balance.waterG < 0" bad>
      {{ say('moreComesOutThanGoes', { weight: weight(0 - dish.balance.waterG) }) }}
    </Notice>
    <p v-else-if="dish.balance.inG > 0 && dish.pieces" class="soft">
      {{ say('inEach', { weight: weight(dish.balance.outG / dish.pieces) }) }}
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
