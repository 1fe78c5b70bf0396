<script setup lang="ts">
import { sayFact } from '../voice'
import { listPlaces } from '@vadose/contract/places'
import { actSays, delayed, preparings } from '@vadose/core/kitchen'
import { ElButton, ElInput } from 'element-plus'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { gramsFrom, largeUnit, useFrame, weight } from '../households'
import { countFrom, useAct } from '../lots'
import { useView } from '../view'
import { forgetIn, keepIn, keptIn, type Running } from './evening'
import { say } from './say'
import { Amount, Notice } from '../kit'

/** The evening as it runs: the pan is the clock, one huge button is the next act; what takes longer moves the rest. */
const frame = useFrame()
const running = ref(keptIn<Running>('evening'))
const nowMs = ref(Date.now())
const minute = computed(() => (running.value ? (nowMs.value - running.value.beganMs) / 60_000 : 0))
const act = computed(() => running.value?.acts[running.value.done])
const next = computed(() => running.value?.acts.slice(running.value.done + 1, running.value.done + 4) ?? [])
const wait = computed(() => (act.value ? act.value.at - minute.value : 0))
const clock = (minutes: number) => {
  const s = Math.max(0, Math.round(Math.abs(minutes) * 60))
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
}
const atTime = (at: number) =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' }).format(
    new Date(running.value!.beganMs + at * 60_000),
  )
const keep = () => running.value && keepIn('evening', running.value)

let lock: { release: () => Promise<void> } | undefined
let sound: AudioContext | undefined
let rang = -1
const timer = setInterval(() => {
  nowMs.value = Date.now()
  if (act.value && wait.value <= 0 && rang !== running.value!.done) {
    rang = running.value!.done
    ring()
  }
}, 500)
/** two short tones when the next act is due, unless it is muted */
function ring() {
  if (running.value?.muted || !sound) return
  for (const [i, hz] of [660, 880].entries()) {
    const tone = sound.createOscillator()
    const loud = sound.createGain()
    tone.frequency.value = hz
    loud.gain.value = 0.2
    tone.connect(loud).connect(sound.destination)
    tone.start(sound.currentTime + i * 0.25)
    tone.stop(sound.currentTime + i * 0.25 + 0.2)
  }
}
/** the screen stays on while the stove is */
async function stayAwake() {
  try {
    lock = await (
      navigator as { wakeLock?: { request: (type: 'screen') => Promise<typeof lock & object> } }
    ).wakeLock?.request('screen')
  } catch {
    // without it the screen is touched now and then
  }
}
const awake = () => document.visibilityState === 'visible' && void stayAwake()
onMounted(() => {
  void stayAwake()
  document.addEventListener('visibilitychange', awake)
})
onBeforeUnmount(() => {
  clearInterval(timer)
  document.removeEventListener('visibilitychange', awake)
  void lock?.release()
  void sound?.close()
})

function done() {
  if (!running.value || !act.value) return
  // browsers let a page sound only after a tap
  sound ??= new AudioContext()
  const late = minute.value - act.value.at
  // what is done late moves what depends on it; what is done early does not
  if (late > 1)
    running.value.acts = running.value.acts.map((a, i) => (i > running.value!.done ? { ...a, at: a.at + late } : a))
  running.value.done++
  keep()
}
function later(minutes: number) {
  if (!running.value || !act.value) return
  running.value.acts = delayed(running.value.acts, act.value.at, minutes)
  keep()
}
function mute() {
  if (running.value) running.value.muted = !running.value.muted
  keep()
}
function end() {
  forgetIn('evening')
  running.value = undefined
}

const { answer: places } = useView(listPlaces)
const freezer = computed(() => places.value?.find(({ kind }) => kind === 'freezer'))
const packed = ref(Object.fromEntries((running.value?.heaps ?? []).map(({ code }) => [code, { weight: '', bags: '' }])))
const of = (code: string) => packed.value[code]!
const bagged = ref<Record<string, string>>({})
const { act: doAct, refusal, busy } = useAct()
const bagging = computed(() => !act.value || act.value.what === 'bag')
async function bag(heap: Running['heaps'][number]) {
  const { weight: text, bags } = of(heap.code)
  const label =
    preparings(cropOf(heap.crop), frame.frame?.household.altitudeM ?? 0).find(({ id }) => id.endsWith(heap.cut))
      ?.label ?? heap.cut
  const grams = gramsFrom(text, 'kg') ?? Math.round(heap.kg * 1000 * usualPacked)
  const answer = await doAct(heap.code, {
    act: 'freeze',
    takenG: Math.round(heap.kg * 1000),
    weightG: grams,
    bags: countFrom(bags)!,
    prepared: label,
    placeId: freezer.value!.id,
    sure: true,
  })
  if (answer) bagged.value = { ...bagged.value, [heap.code]: answer.made[0] ?? answer.lot.code }
}
/** what is left of it washed, trimmed and drained, where nobody weighs it. Judgement. */
const usualPacked = 0.92
</script>

<template>
  <div v-if="!running" class="stack">
    <h1>{{ say('noEveningIsUnderWay') }}</h1>
    <p>
      <RouterLink to="/evening">{{ say('planOne') }}</RouterLink>{{ say('orSee') }}
      <RouterLink to="/larder">{{ say('whatIsInTheLarder') }}</RouterLink>.
    </p>
  </div>
  <div v-else class="stack run">
    <header class="head">
      <h1>{{ act ? say('next') : say('allInTheFreezer') }}</h1>
      <p class="soft">{{ say('ofDone', { done: running.done, acts: running.acts.length }) }}</p>
      <div class="acts">
        <ElButton :aria-pressed="running.muted" @click="mute">{{
          running.muted ? say('soundIsOff') : say('soundIsOn')
        }}</ElButton>
        <RouterLink class="el-button" to="/evening">{{ say('theScore') }}</RouterLink>
      </div>
    </header>
    <section v-if="act" class="card now" :style="{ '--crop': act.crop ? cropColour(act.crop) : 'var(--bad)' }">
      <p
        class="clock"
        :class="{ due: wait <= 0 }"
        role="timer"
        :aria-label="wait > 0 ? `in ${clock(wait)}` : say('dueSince', { clock: clock(wait) })"
      >
        {{ wait > 0 ? '' : '+' }}{{ clock(wait) }}
      </p>
      <p class="says">{{ sayFact(actSays(act, act.crop ? cropOf(act.crop).plural : null)) }}</p>
      <button type="button" class="huge" @click="done">{{ say('done') }}</button>
      <div class="row">
        <ElButton v-if="act.what === 'into-pan'" @click="later(3)">{{ say('notBoilingYet') }}</ElButton>
        <ElButton @click="later(1)">{{ say('oneMinuteMore') }}</ElButton>
        <ElButton @click="later(10)">{{ say('tenMinutesMore') }}</ElButton>
      </div>
    </section>
    <section v-if="next.length" class="card">
      <h2>{{ say('then') }}</h2>
      <ul class="bare rows">
        <li v-for="(a, i) in next" :key="i">
          <strong>{{ atTime(a.at) }}</strong> {{ sayFact(actSays(a, a.crop ? cropOf(a.crop).plural : null)) }}
        </li>
      </ul>
    </section>
    <section class="card stack" :class="{ wait: !bagging }">
      <h2>{{ say('intoBags') }}</h2>
      <Notice v-if="!freezer">
        {{ say('thereIsNoFreezerIn') }} <RouterLink to="/household">{{ say('addOne') }}</RouterLink>
      </Notice>
      <form
        v-for="heap in running.heaps"
        :key="heap.code"
        class="row heap"
        :data-bag="heap.code"
        @submit.prevent="bag(heap)"
      >
        <p class="grow">
          <strong>{{ cropOf(heap.crop).name }}</strong>
          <span class="soft">{{ heap.code }}, {{ weight(heap.kg * 1000) }}, {{ heap.cut }}</span>
        </p>
        <template v-if="bagged[heap.code]">
          <strong class="good">{{ say('inTheFreezer') }}</strong>
          <RouterLink class="el-button el-button--primary" :to="`/lots/${bagged[heap.code]}/tag`">{{
            say('labelFor', { bagged: bagged[heap.code] })
          }}</RouterLink>
        </template>
        <template v-else>
          <Amount
            v-model="of(heap.code).bags"
            bare
            whole
            :label="say('bagsOf', { code: heap.code })"
            :placeholder="say('bags')"
          />
          <ElInput
            v-model="of(heap.code).weight"
            class="number"
            inputmode="decimal"
            :aria-label="say('weightOfInBags', { code: heap.code })"
            :placeholder="say('weight')"
            ><template #suffix>{{ largeUnit() }}</template></ElInput
          >
          <ElButton
            native-type="submit"
            type="primary"
            :disabled="busy || !freezer || countFrom(of(heap.code).bags) === null"
            >{{ say('bagIt') }}</ElButton
          >
        </template>
      </form>
      <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    </section>
    <div>
      <ElButton @click="end">{{ act ? say('stopTheEvening') : say('theEveningIsOver') }}</ElButton>
    </div>
  </div>
</template>

<style scoped>
.run {
  max-width: 720px;
}
.now {
  display: grid;
  gap: var(--s-12);
  border-left: 8px solid var(--crop);
}
.clock {
  font: 700 calc(var(--t-figure) * 2)/1 var(--font-head);
  font-variant-numeric: tabular-nums;
  margin: 0;
}
.clock.due {
  color: var(--bad);
}
.says {
  font-size: var(--t-head);
  margin: 0;
}
.huge {
  min-height: 92px;
  border: 0;
  border-radius: 12px;
  background: var(--accent);
  color: var(--on-accent);
  font: 700 var(--t-figure) var(--font-head);
  cursor: pointer;
}
.number {
  width: 118px;
}
.grow {
  flex: 1;
  min-width: 200px;
  margin: 0;
}
.heap {
  padding: var(--s-6) 0;
}
</style>
