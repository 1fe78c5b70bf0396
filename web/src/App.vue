<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useByAndBy } from './by-and-by'
import { call, householdHere } from './call'
import { settleUnanswered } from './unanswered'
import { readRequest } from '@vadose/contract/households'
import { fullDate, useFrame, YearStrip } from './households'
import { FindBox, UndoBar, useLastAct } from './lots'
import { useMissingScreen } from './missing-screen'
import { tabs } from './router'
import { say } from './say'
import { Notice, IconBringIn, IconFind, IconLarder, IconMore, IconToday } from './kit'

const frame = useFrame()
const route = useRoute()
const router = useRouter()
const find = ref<InstanceType<typeof FindBox>>()
const missing = useMissingScreen()
const keysShown = ref(false)
const last = useLastAct()
/** whose page it is stands there first, then the tabs, half at a time, then what is sought with, then what a thumb has */
const stage = useByAndBy(ref(5), 1)
const half = tabs.length / 2
/** once it is known, its name and day stand there first, then the screen, then its year */
const known = useByAndBy(
  computed(() => (frame.frame || frame.failure ? 3 : 0)),
  1,
)
const WhoseView = defineAsyncComponent(() => import('./households/WhoseView.vue'))
/** the address names no household, or one that is not here (any more) */
const nobody = computed(() => !householdHere || frame.unknown)

const inTab = computed(() =>
  ['finish', 'dry'].includes(String(route.name))
    ? 'line'
    : ['lot', 'tag', 'check', 'sort', 'right', 'freeze'].includes(String(route.name))
      ? 'stores'
      : ['kitchen', 'count', 'add-stock', 'evening', 'evening-clock', 'power-cut'].includes(String(route.name))
        ? 'larder'
        : route.name === 'beds'
          ? 'bring-in'
          : route.name,
)
const chosen = computed(() => (typeof route.query['on'] === 'string' ? route.query['on'] : undefined))

function onKey(event: KeyboardEvent) {
  const target = event.target as HTMLElement
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return
  // an empty field that takes a name begins with no figure: it leads on, as everywhere
  const wordsOnly = target instanceof HTMLInputElement && 'wordsOnly' in target.dataset && target.value === ''
  if (target.closest('input, textarea, select, [contenteditable]') && !wordsOnly) return
  const tab = tabs.find((t) => t.key === event.key)
  if (tab) {
    // a field that has the focus on the next screen gets no figure typed into it
    event.preventDefault()
    void router.push(tab.path)
  } else if (wordsOnly) return
  else if (event.key === '/') {
    event.preventDefault()
    find.value?.focus()
  } else if (event.key === 'b') void router.push('/beds')
  else if (event.key === 'k') void router.push('/kitchen')
  else if (event.key === 'z') void last.undo()
  else if (event.key === '?') keysShown.value = !keysShown.value
  else if (event.key === 'Escape') keysShown.value = false
}

const arrived = ref(0)
/** What was sent when the page was left may have arrived: only the server knows. */
async function settle() {
  const own = `/api/households/${householdHere ?? ''}/`
  arrived.value = await settleUnanswered(
    async ({ id, address }) => address.startsWith(own) && (await call(readRequest, { params: { id } })).answered,
  )
}

onMounted(() => {
  if (householdHere) void settle()
  document.documentElement.dataset['theme'] = localStorage.getItem('theme') ?? 'paper'
  window.addEventListener('keydown', onKey)
})
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <header class="band">
    <RouterLink class="name" to="/" :aria-label="say('vadoseToTodaysRound')">{{ say('vadose') }}</RouterLink>
    <div v-if="frame.frame" class="year">
      <YearStrip
        v-if="known > 2"
        :year="frame.frame.year"
        :today="frame.today"
        :chosen="chosen"
        @choose="(on) => router.push(on > frame.today ? { path: '/', query: { on } } : '/')"
      />
    </div>
    <div v-if="frame.frame" class="when">
      <strong>{{ fullDate(frame.today) }}</strong>
      <RouterLink to="/household"
        >{{ frame.frame.household.name }}{{ frame.frame.household.demo ? say('demo') : '' }}</RouterLink
      >
    </div>
    <div
      v-if="frame.frame?.household.clock === 'practice'"
      class="clock"
      role="group"
      :aria-label="say('moveThePracticeClock')"
    >
      <button :disabled="frame.moving" @click="frame.moveClock('next-morning')">{{ say('nextMorning') }}</button>
      <button :disabled="frame.moving" @click="frame.moveClock('next-week')">{{ say('nextWeek') }}</button>
    </div>
  </header>
  <nav v-if="!nobody" class="tabs" :aria-label="say('screens')">
    <RouterLink
      v-for="tab in tabs.slice(0, half * (stage - 1))"
      :key="tab.name"
      :to="tab.path"
      :class="{ here: inTab === tab.name }"
      :aria-current="inTab === tab.name ? 'page' : undefined"
    >
      <component :is="tab.icon" class="icon" aria-hidden="true" />{{ tab.label }} <kbd>{{ tab.key }}</kbd>
    </RouterLink>
    <FindBox v-if="stage > 3" ref="find" class="find" />
  </nav>
  <main>
    <Notice v-if="frame.failure && !nobody" bad>{{ frame.failure }}</Notice>
    <Notice v-if="missing" bad>{{ missing }}</Notice>
    <Notice v-if="arrived">
      {{ say('whatYouKeptJustBefore') }}
    </Notice>
    <UndoBar />
    <WhoseView v-if="nobody" :unknown="householdHere" />
    <!-- no screen begins before its household is known -->
    <RouterView v-else-if="known > 1" />
  </main>
  <nav v-if="!nobody && stage > 4" class="thumb-bar" :aria-label="say('screensByThumb')">
    <RouterLink to="/"><IconToday class="icon" aria-hidden="true" />{{ say('today') }}</RouterLink>
    <RouterLink to="/bring-in"><IconBringIn class="icon" aria-hidden="true" />{{ say('bringIn') }}</RouterLink>
    <RouterLink to="/find"><IconFind class="icon" aria-hidden="true" />{{ say('find') }}</RouterLink>
    <RouterLink to="/larder"><IconLarder class="icon" aria-hidden="true" />{{ say('larder') }}</RouterLink>
    <RouterLink to="/household"><IconMore class="icon" aria-hidden="true" />{{ say('more') }}</RouterLink>
  </nav>
  <aside v-if="keysShown" class="keys card" :aria-label="say('keys')">
    <h2>{{ say('keys') }}</h2>
    <dl>
      <template v-for="tab in tabs" :key="tab.name">
        <dt>
          <kbd>{{ tab.key }}</kbd>
        </dt>
        <dd>{{ tab.label }}</dd>
      </template>
      <dt><kbd>b</kbd></dt>
      <dd>{{ say('inTheBedsLooksBefore') }}</dd>
      <dt><kbd>k</kbd></dt>
      <dd>{{ say('inTheKitchenDishesJars') }}</dd>
      <dt><kbd>/</kbd></dt>
      <dd>{{ say('findALotCropOr') }}</dd>
      <dt><kbd>u</kbd> <kbd>c</kbd> <kbd>s</kbd> <kbd>m</kbd></dt>
      <dd>{{ say('onALotUseLook') }}</dd>
      <dt>
        <kbd>{{ say('alt') }}</kbd> <kbd>1</kbd> … <kbd>8</kbd>
      </dt>
      <dd>{{ say('sortingWhatIsInThe') }}</dd>
      <dt><kbd>w</kbd></dt>
      <dd>{{ say('onTheLineWeighThe') }}</dd>
      <dt><kbd>z</kbd></dt>
      <dd>{{ say('undoTheLastThingDone') }}</dd>
      <dt><kbd>?</kbd></dt>
      <dd>{{ say('thisList') }}</dd>
    </dl>
    <ElButton @click="keysShown = false">{{ say('close') }}</ElButton>
  </aside>
</template>
