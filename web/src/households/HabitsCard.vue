<script setup lang="ts">
import { setHabits } from '@vadose/contract/habits'
import { habitLimits, habitNames, type Habit } from '@vadose/core/almanac'
import { ElButton } from 'element-plus'
import { computed, reactive, watch } from 'vue'
import { currentAlmanac } from '../almanac'
import { Amount, Form, message, type Rules } from '../kit'
import { write } from '../view'
import { useAttempt } from './attempt'
import { say } from './say'

/** What is a matter of house and habit: our usual figure, or the household's own. */
const words: Record<Habit, { label: string; does: string; unit: string; whole?: boolean }> = {
  longestLookGapDays: { label: say('habitLookGap'), does: say('habitLookGapDoes'), unit: say('days'), whole: true },
  bearableBadPct: { label: say('habitBad'), does: say('habitBadDoes'), unit: '%' },
  bearableLoss: { label: say('habitLoss'), does: say('habitLossDoes'), unit: say('timesWord') },
  eatFirstDays: { label: say('habitEatFirst'), does: say('habitEatFirstDoes'), unit: say('days'), whole: true },
  cookDays: { label: say('habitCook'), does: say('habitCookDoes'), unit: say('days'), whole: true },
  joinHangingDays: { label: say('habitJoinLine'), does: say('habitJoinLineDoes'), unit: say('days'), whole: true },
  joinStoredDays: { label: say('habitJoinStore'), does: say('habitJoinStoreDoes'), unit: say('days'), whole: true },
  bedYears: { label: say('habitBeds'), does: say('habitBedsDoes'), unit: say('years'), whole: true },
}
const order = Object.keys(words) as Habit[]
const own = computed(() => currentAlmanac().changes.habits)
const typed = reactive(Object.fromEntries(habitNames.map((name) => [name, ''])) as Record<Habit, string>)
watch(
  own,
  (now, before) => {
    // what is being typed beside it stays
    for (const name of habitNames)
      if (!before || now[name] !== before[name]) typed[name] = String(now[name] ?? habitLimits[name].usual)
  },
  { immediate: true },
)
const figure = (name: Habit): number | undefined => {
  const value = Number(typed[name].replace(',', '.'))
  const { lo, hi } = habitLimits[name]
  const fits = typed[name].trim() !== '' && value >= lo && value <= hi
  return fits && (!words[name].whole || Number.isInteger(value)) ? value : undefined
}
const changed = computed(() => order.filter((name) => figure(name) !== (own.value[name] ?? habitLimits[name].usual)))
const rules = Object.fromEntries(
  order.map((name) => [
    name,
    () =>
      figure(name) === undefined
        ? say('habitBetween', { label: words[name].label, lo: habitLimits[name].lo, hi: habitLimits[name].hi })
        : undefined,
  ]),
) as Rules<typeof typed>
const { attempt, refusal, busy } = useAttempt()
const put = async (habits: Partial<Record<Habit, number | null>>) => {
  if (await attempt(() => write(setHabits, { body: habits }))) message(say('habitsKept'))
}
const asSet = (name: Habit) => (figure(name) === habitLimits[name].usual ? null : figure(name)!)
const keep = () => put(Object.fromEntries(changed.value.map((name) => [name, asSet(name)])))
const isOwn = (name: Habit) => own.value[name] !== undefined
</script>

<template>
  <section id="habits" class="card stack">
    <h2>{{ say('howYouDoIt') }}</h2>
    <p class="soft">{{ say('ourUsualFigures') }}</p>
    <Form class="stack" :model="typed" :rules="rules" :refused="refusal" @keep="keep">
      <div class="habits">
        <div v-for="name in order" :key="name" class="habit">
          <Amount
            v-model="typed[name]"
            :name="name"
            :label="words[name].label"
            :unit="words[name].unit"
            :whole="words[name].whole ?? false"
          />
          <p class="soft">
            {{ words[name].does }}
            <ElButton v-if="isOwn(name)" link :disabled="busy" @click="put({ [name]: null })">{{
              say('backToTheUsual', { usual: habitLimits[name].usual, unit: words[name].unit })
            }}</ElButton>
          </p>
        </div>
      </div>
      <div class="row">
        <ElButton type="primary" native-type="submit" :disabled="busy || changed.length === 0">{{
          say('keep')
        }}</ElButton>
      </div>
    </Form>
  </section>
</template>

<style scoped>
.habits {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 480px), 1fr));
  gap: var(--s-16) var(--s-24);
}
.habit {
  display: grid;
  grid-template-columns: 230px 1fr;
  gap: var(--s-4) var(--s-16);
  align-items: start;
}
.habit > p {
  /* beside the field, under its name */
  padding-top: var(--s-24);
}
@media (max-width: 640px) {
  .habit {
    grid-template-columns: 1fr;
  }
  .habit > p {
    padding: 0;
  }
}
</style>
