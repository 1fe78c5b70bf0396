<script setup lang="ts">
import { ElButton } from 'element-plus'
import { watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { weight } from '../households'
import BrineHelp from './BrineHelp.vue'
import DishBecomes from './DishBecomes.vue'
import DishGoesIn from './DishGoesIn.vue'
import { provideDish } from './dish-draft'
import RecipesCard from './RecipesCard.vue'
import WaitingCard from './WaitingCard.vue'
import { say } from './say'
import { Notice } from '../kit'

/** Several lots, and what was bought for them, made into one: a dish in portions, jars, a crock, a bag topped up. */
const route = useRoute()
const dish = provideDish()
// what was chosen on another screen lies there already
let laid = false
watchEffect(() => {
  if (laid || !dish.lots) return
  laid = true
  const wanted = String(route.query['lots'] ?? '').split(',')
  for (const lot of dish.from) if (wanted.includes(lot.code)) dish.put(lot, { all: true })
  const named = route.query['named']
  if (typeof named === 'string') dish.typed.named = named
})
</script>

<template>
  <div v-if="dish.made" class="stack">
    <h1>{{ dish.typed.named }}: {{ dish.makes }}</h1>
    <p>
      {{ say('putBy', { outG: weight(dish.made.outG) })
      }}<template v-if="dish.made.goneG">{{
        say('wentAsWaterAndTrimmings', { goneG: weight(dish.made.goneG) })
      }}</template
      >{{ say('labelEveryOneNow') }}
    </p>
    <div class="row">
      <RouterLink class="el-button el-button--primary" :to="`/lots/${dish.made.code}/tag`">{{
        say('labelFor2', { code: dish.made.code })
      }}</RouterLink>
      <RouterLink class="el-button" :to="`/lots/${dish.made.code}`">{{ say('seeHowLongItKeeps') }}</RouterLink>
      <ElButton @click="dish.another()">{{ say('makeSomethingElse') }}</ElButton>
    </div>
  </div>
  <div v-else class="columns">
    <form class="stack" @submit.prevent="dish.make()">
      <header class="head">
        <h1>{{ say('inTheKitchen') }}</h1>
        <p class="soft">{{ say('severalLotsBecomeOneCooked') }}</p>
      </header>
      <DishGoesIn />
      <DishBecomes />
      <BrineHelp v-if="dish.form === 'brined'" :produce-g="dish.balance.inG" />
      <Notice v-if="dish.failure" bad>{{ dish.failure }}</Notice>
      <div>
        <ElButton type="primary" native-type="submit" size="large" :disabled="!dish.able || dish.busy">{{
          dish.into ? say('topItUp') : say('putItBy')
        }}</ElButton>
      </div>
    </form>
    <aside class="stack">
      <RecipesCard :recipes="dish.recipes ?? []" @choose="dish.layOut" />
      <WaitingCard />
    </aside>
  </div>
</template>
