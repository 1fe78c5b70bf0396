<script setup lang="ts">
import { sayProse } from '../voice'
import { useView } from '../view'
import { readLot } from '@vadose/contract/lots'
import { asksForAll } from '@vadose/core/checks'
import { Amount, Choices, Notice } from '../kit'
import { ElButton } from 'element-plus'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { cropOf, lotCrop } from '../almanac'
import { amount } from '../households'
import { useAct } from '../lots'
import CheckDone from './CheckDone.vue'
import FaultSign from './FaultSign.vue'
import { cautionsFirst } from './signs'
import { say } from './say'

const route = useRoute()
const code = String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code } }))
const crop = computed(() => (lot.value ? lotCrop(lot.value) : cropOf('')))

/** said before anything is touched */
const careful = computed(() => cautionsFirst(crop.value.cautions))

const step = ref<'look' | 'decide' | 'done'>('look')
const lookedAt = ref(0)
const found = reactive(new Map<string, number>())
const chosen = reactive(new Map<string, string>())
const before = ref('')
const { act, refusal, busy } = useAct()

const most = computed(() => lot.value?.pieces ?? 999)
watch(
  lot,
  (now) => {
    if (now && lookedAt.value === 0) lookedAt.value = Math.min(most.value, now.keeping?.lookAt ?? 20)
    if (now?.keeping && !before.value) before.value = now.keeping.nineInTenUntil.p50
  },
  { immediate: true },
)
const bad = computed(() => [...found.values()].reduce((sum, n) => sum + n, 0))
const faults = computed(() => crop.value.faults.filter((f) => (found.get(f.id) ?? 0) > 0))
const more = (id: string) => found.set(id, Math.min((found.get(id) ?? 0) + 1, lookedAt.value))
const fewer = (id: string) => found.set(id, Math.max(0, (found.get(id) ?? 0) - 1))
const typed = (id: string, text: string) =>
  found.set(id, Math.max(0, Math.min(lookedAt.value, Math.round(Number(text)) || 0)))
const clamp = (n: number) => Math.max(1, Math.min(most.value, Math.round(n) || 1))
const actionOf = (id: string) => chosen.get(id) ?? crop.value.faults.find((f) => f.id === id)!.actions[0]!.id

async function keep() {
  const done = await act(code, {
    act: 'check',
    lookedAt: lookedAt.value,
    faults: faults.value.map((f) => ({ fault: f.id, pieces: found.get(f.id)!, action: actionOf(f.id) })),
  })
  if (done) step.value = 'done'
}
const proceed = () => (bad.value > 0 ? (step.value = 'decide') : void keep())
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="lot" class="check stack">
    <header class="head">
      <h1>{{ step === 'done' ? say('lookedOver') : say('lookOver') }} {{ code }}</h1>
      <p class="soft">
        {{ crop.name }} · {{ amount(lot.pieces, lot.weightG, crop.piece, lot.guessed)
        }}<template v-if="lot.place"> · {{ lot.place.toLowerCase() }}</template>
      </p>
    </header>

    <Notice v-if="lot.stage !== 'stored' && step !== 'done'">
      {{ say('onlyWhatIsInStore') }} <RouterLink :to="`/lots/${code}`">{{ say('toTheLot') }}</RouterLink>
    </Notice>

    <template v-else-if="step === 'look'">
      <Notice v-if="careful.length > 0" care>
        <ul class="careful" :aria-label="say('careful')">
          <li v-for="(c, i) in careful" :key="c.id">
            <strong v-if="i === 0">{{ say('careful2') }}</strong>{{ sayProse(c.text) }}
          </li>
        </ul></Notice
      >
      <section class="stack">
        <h2>{{ say('howManyDidYouLook') }}</h2>
        <Amount
          class="count"
          bare
          whole
          :label="say('numberLookedAt')"
          :model-value="String(lookedAt)"
          @update:model-value="lookedAt = clamp(Number($event))"
        />
        <div class="choices quick">
          <button
            v-for="n in [10, 20, 50].filter((k) => k < most)"
            :key="n"
            class="choice"
            :aria-pressed="lookedAt === n"
            @click="lookedAt = n"
          >
            {{ n }}
          </button>
          <button
            v-if="lot.pieces"
            class="choice"
            :aria-pressed="lookedAt === lot.pieces"
            @click="lookedAt = lot.pieces"
          >
            {{ say('all', { pieces: lot.pieces }) }}
          </button>
        </div>
        <p v-if="lot.keeping" class="soft">
          {{ say('ofMakeYouInSure', { lookAt: lot.keeping.lookAt, pieces: lot.pieces ?? say('them') }) }}
        </p>
      </section>
      <section class="stack">
        <h2>{{ say('notRightTapEachOne') }}</h2>
        <div class="faults">
          <div v-for="f in crop.faults" :key="f.id" class="fault" :class="{ some: (found.get(f.id) ?? 0) > 0 }">
            <button class="hit" :aria-label="say('oneMore2', { label: f.label })" @click="more(f.id)">
              <FaultSign :fault="f.id" />
              <strong>{{ f.label }}</strong>
              <span class="soft">{{ f.signs }}</span>
              <b>{{ found.get(f.id) ?? 0 }}</b>
            </button>
            <span v-if="(found.get(f.id) ?? 0) > 0" class="less">
              <input
                :value="found.get(f.id)"
                inputmode="numeric"
                :aria-label="say('howMany', { label: f.label })"
                @change="typed(f.id, ($event.target as HTMLInputElement).value)"
              />
              <button :aria-label="say('oneFewer2', { label: f.label })" @click="fewer(f.id)">−</button>
            </span>
          </div>
        </div>
      </section>
      <Notice v-if="bad > lookedAt" bad>{{ say('thatIsMoreThanWere') }}</Notice>
      <Notice v-else-if="asksForAll({ lookedAt, bad, ...(lot.pieces && { lotSize: lot.pieces }) })" bad>
        {{ say('moreThanAQuarterAre') }}
        <RouterLink :to="`/lots/${code}/sort`">{{ say('pourItOutAndSort') }}</RouterLink>
      </Notice>
      <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
      <ElButton class="go" type="primary" :disabled="busy || bad > lookedAt || lookedAt < 1" @click="proceed">
        {{ bad > 0 ? say('whatToDoWith', { bad: bad === 1 ? say('it') : say('the', { bad }) }) : say('allSound') }}
      </ElButton>
    </template>

    <template v-else-if="step === 'decide'">
      <section v-for="f in faults" :key="f.id" class="card stack" :class="f.spreads">
        <p class="soft with-sign">
          <FaultSign :fault="f.id" />{{
            say('with', { found: found.get(f.id), label: f.label.toLowerCase(), cause: sayProse(f.cause) })
          }}
        </p>
        <Choices
          :label="say('whatToDoWith2', { label: f.label })"
          :model-value="actionOf(f.id)"
          :options="f.actions.map((a) => ({ id: a.id, label: a.label, detail: sayProse(a.detail) }))"
          @update:model-value="$event && chosen.set(f.id, $event)"
        />
        <p v-if="f.spreads === 'quickly'" class="bad">{{ say('itRunsToItsNeighbours') }}</p>
      </section>
      <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
      <ElButton class="go" type="primary" :disabled="busy" @click="keep">{{ say('doneWithIt', { bad }) }}</ElButton>
      <ElButton class="go" @click="step = 'look'">{{ say('backToCounting') }}</ElButton>
    </template>

    <template v-else>
      <CheckDone :lot="lot" :before="before" />
      <RouterLink class="el-button el-button--primary go" to="/">{{ say('backToTheRound') }}</RouterLink>
      <RouterLink class="el-button go" :to="`/lots/${code}`">{{ say('toTheLot') }}</RouterLink>
    </template>
  </div>
</template>

<style scoped>
.check {
  max-width: 620px;
  margin: 0 auto;
}
/* the largest thing on the screen: counted with one hand, the other in the crate */
.count :deep(.el-input-number) {
  width: 100%;
  --touch: 64px;
  --el-component-size: 64px;
  --el-input-height: 62px;
  line-height: 62px;
}
.count :deep(.el-input__inner) {
  font: 650 var(--t-figure) var(--font-head);
}
.faults {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--s-12);
}
.fault {
  position: relative;
  display: grid;
}
ul.careful {
  list-style: none;
  margin: 0;
  padding: 0;
}
.with-sign {
  display: flex;
  align-items: center;
  gap: var(--s-12);
}
.hit svg {
  grid-row: 1 / 3;
}
.hit {
  display: grid;
  grid-template-columns: auto 1fr auto;
  grid-template-rows: auto 1fr;
  gap: var(--s-2) var(--s-8);
  text-align: left;
  border: 1.5px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  padding: var(--s-8) var(--s-12);
  min-height: 96px;
  cursor: pointer;
}
.hit .soft {
  margin: 0;
  grid-column: 2;
  font-size: var(--t-small);
}
.hit b {
  grid-column: 3;
  grid-row: 1 / 3;
  font: 650 var(--t-title) var(--font-head);
  color: var(--soft);
}
.some .hit {
  padding-bottom: calc(var(--s-40) + var(--s-12));
  border-color: var(--bad);
  box-shadow: inset 0 0 0 1.5px var(--bad);
}
.some .hit b {
  color: var(--bad);
}
.less {
  position: absolute;
  right: 6px;
  bottom: 6px;
  display: flex;
  gap: var(--s-6);
}
.less > * {
  width: 48px;
  height: 40px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--paper);
  color: inherit;
  font-size: var(--t-head);
  text-align: center;
}
.less button {
  cursor: pointer;
}
.choice .soft {
  display: block;
  font-weight: 400;
}
.go {
  width: 100%;
  min-height: 54px;
  font-size: var(--t-text);
  margin: 0;
}
@media (max-width: 480px) {
  .faults {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--s-8);
  }
  .hit {
    min-height: 64px;
  }
}
</style>
