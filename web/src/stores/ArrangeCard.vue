<script setup lang="ts">
import type { ArrangedMove } from '@vadose/core/arrange'
import { addDays } from '@vadose/core/households'
import { actOnLot } from '@vadose/contract/lots'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour } from '../almanac'
import { longDate, sentence, useAttempt, weight } from '../households'
import { write } from '../view'
import { useArranging } from './arranging'
import { say } from './say'
import { Notice } from '../kit'

/** The best arrangement of the house for the months to come: what to carry where, when, and what each carry saves. */
const { found, says, failure, look, stop } = useArranging()
const { attempt, failure: refusal, busy } = useAttempt()
const done = ref(new Set<string>())
const keyOf = (move: ArrangedMove) => `${move.code} ${move.inMonths}`
const moves = computed(() =>
  (found.value?.moves ?? []).map((move) => {
    const { asked } = found.value!
    const lot = asked.lots.find(({ code }) => code === move.code)!
    return {
      ...move,
      lot,
      key: keyOf(move),
      from: asked.names[move.from]!,
      to: asked.names[move.to]!,
      toId: asked.problem.places[move.to]!.id,
      on: addDays(asked.today, Math.round(move.inMonths * 30.4)),
    }
  }),
)
type Move = (typeof moves.value)[number]
const saved = computed(() => (found.value ? found.value.lostStayingKg - found.value.lostArrangedKg : 0))
const kilos = (kg: number) => weight(Math.round(kg * 1000))
const open = computed(() => moves.value.filter(({ key }) => !done.value.has(key)))
/** now: it is carried; later: it is told on that day */
async function carry(move: Move) {
  const body =
    move.inMonths === 0
      ? { act: 'move' as const, placeId: move.toId }
      : {
          act: 'note' as const,
          text: say('toItKeepsBetterThere', { to: move.to.toLowerCase() }),
          mindOn: move.on,
        }
  await write(actOnLot, { params: { code: move.code }, body })
  done.value = new Set([...done.value, move.key])
}
const accept = (move: Move) => attempt(() => carry(move))
const acceptAll = () =>
  attempt(async () => {
    for (const move of open.value) await carry(move)
  })
function again() {
  done.value = new Set()
  void look()
}
</script>

<template>
  <section class="card stack" :aria-label="say('theBestArrangement')">
    <h2>{{ say('couldItLieBetter') }}</h2>
    <template v-if="says">
      <p role="status"><i class="turning" aria-hidden="true"></i> {{ sentence(says) }} …</p>
      <div>
        <ElButton @click="stop">{{ say('leaveIt') }}</ElButton>
      </div>
    </template>
    <template v-else-if="found">
      <p v-if="moves.length === 0" class="good">{{ say('everythingLiesAsWellAs') }}</p>
      <template v-else>
        <p>
          <strong class="figure">{{ say('saved', { kilos: kilos(saved) }) }}</strong>
          <span class="soft">{{
            say('bySpringWouldBeLost', { kilos: kilos(found.lostArrangedKg), kilos2: kilos(found.lostStayingKg) })
          }}</span>
        </p>
        <ul class="bare rows">
          <li v-for="m in moves" :key="m.key" class="move" :style="{ '--crop': cropColour(m.lot.crop) }">
            <div>
              <strong>{{ m.lot.name }}</strong> <span class="soft">{{ m.code }}</span>
              <p>
                {{ m.from.toLowerCase() }} → <strong>{{ m.to.toLowerCase() }}</strong>
                <span class="soft"> {{ m.inMonths === 0 ? say('now') : longDate(m.on) }}</span>
              </p>
              <p
                v-if="m.inMonths === 0 || !moves.some((o) => o.code === m.code && o.inMonths < m.inMonths)"
                class="soft"
              >
                {{ say('saves', { kilos: kilos(m.savesKg) }) }}
              </p>
            </div>
            <span v-if="done.has(m.key)" class="good">{{ m.inMonths === 0 ? say('carried') : say('noted') }}</span>
            <ElButton
              v-else
              :disabled="busy"
              :aria-label="`${m.inMonths === 0 ? say('carry') : say('remindMeOf')} ${m.code}`"
              @click="accept(m)"
              >{{ m.inMonths === 0 ? say('carryIt') : say('remindMe') }}</ElButton
            >
          </li>
        </ul>
        <div class="row">
          <ElButton v-if="open.length > 1" type="primary" :disabled="busy" @click="acceptAll">{{
            say('allOfThem')
          }}</ElButton>
          <ElButton :disabled="busy" @click="again">{{ say('lookAgain') }}</ElButton>
        </div>
        <p class="soft">{{ say('carryItWritesTheMove') }}</p>
      </template>
    </template>
    <template v-else>
      <p class="soft">{{ say('weighsEveryPlaceAgainstEvery') }}</p>
      <div>
        <ElButton type="primary" @click="look">{{ say('findTheBestArrangement') }}</ElButton>
      </div>
    </template>
    <Notice v-if="failure || refusal" bad>{{ failure || refusal }}</Notice>
  </section>
</template>

<style scoped>
.move {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-4) var(--s-12);
  align-items: center;
  border-left: 5px solid var(--crop);
  padding: var(--s-6) 0 var(--s-6) var(--s-8);
}
.turning {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 3px solid var(--wall);
  border-top-color: var(--accent);
  border-radius: 50%;
  animation: turn 1.2s linear infinite;
}
@keyframes turn {
  to {
    transform: rotate(1turn);
  }
}
@media (prefers-reduced-motion: reduce) {
  .turning {
    animation: none;
  }
}
</style>
