<script setup lang="ts">
import { Field as KitField, HowFar, Notice, Pick } from '../kit'
import { ElButton } from 'element-plus'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { cropOf } from '../almanac'
import { isUs, useFrame } from '../households'
import { answerLines } from './answer-words'
import BenchField from './BenchField.vue'
import DrawnResult from './DrawnResult.vue'
import { linkQuery, readForm, typedDefaults, type Typed } from './form'
import { useBench } from './run'
import { fieldNamesOf, reasonsOf, sheetAsText } from './sheet-words'
import type { Field, Worksheet } from './field'
import { worksheetNamed, worksheets } from './worksheets'
import { say } from './say'
import { sayFact } from '../voice'

const route = useRoute()
const router = useRouter()
const frame = useFrame()
const { result, running, progress, run, cancel, failure } = useBench()
const sheet = computed(() => worksheetNamed(String(route.params['name'] ?? '')) ?? worksheets()[0]!)
const unknown = computed(() => Boolean(route.params['name']) && !worksheetNamed(String(route.params['name'])))
const typed = reactive<Typed>({})
const bad = ref<{ field: string; message: string }>()
const copied = ref('')
const groups = computed(() => {
  const of = new Map<string, Worksheet[]>()
  for (const w of worksheets()) of.set(w.group, [...(of.get(w.group) ?? []), w])
  return [...of]
})
/** Simulations take seconds: they begin when asked. */
const slow = computed(() => sheet.value.name === 'check-policy')

function begin() {
  for (const key of Object.keys(typed)) delete typed[key]
  Object.assign(typed, typedDefaults(sheet.value))
  for (const field of sheet.value.fields) {
    const given = route.query[field.id]
    if (typeof given === 'string') typed[field.id] = given
  }
  result.value = undefined
  compute(!slow.value)
}
function compute(go = true) {
  const read = readForm(sheet.value, typed)
  bad.value = 'message' in read ? read : undefined
  if ('input' in read && go) void run(sheet.value.name, read.input)
}
watch([sheet, isUs, () => frame.frame?.household.id], begin, { immediate: true })

let waiting: ReturnType<typeof setTimeout> | undefined
function changed() {
  copied.value = ''
  clearTimeout(waiting)
  waiting = setTimeout(() => {
    compute(!slow.value)
    void router.replace({ query: linkQuery(sheet.value, typed, isUs()) })
  }, 250)
}
function set(field: Field, value: string) {
  typed[field.id] = value
  if (field.kind === 'crop' && sheet.value.fields.some((f) => f.id === 'cut')) typed['cut'] = ''
  changed()
}
const choicesOf = (field: Field) =>
  field.id === 'cut' ? (cropOf(typed['crop'] ?? '').freezing?.blanch.map((b) => b.cut) ?? []) : (field.choices ?? [])
const lines = computed(() =>
  result.value && 'answer' in result.value ? answerLines(sheet.value, result.value.answer) : [],
)
const drawing = computed(() => (result.value && 'drawing' in result.value ? result.value.drawing : undefined))
const refusal = computed(() => (result.value && 'refusal' in result.value ? result.value.refusal : undefined))
const reasons = computed(() => (result.value && 'answer' in result.value ? reasonsOf(result.value.answer) : []))

async function copy(text: string, what: string) {
  try {
    await navigator.clipboard.writeText(text)
    copied.value = say('copied', { what })
  } catch {
    copied.value = text
  }
}
const link = () =>
  new URL(
    router.resolve({ path: `/bench/${sheet.value.name}`, query: linkQuery(sheet.value, typed, isUs()) }).href,
    location.origin,
  ).href
</script>

<template>
  <div class="bench">
    <nav class="list" :aria-label="say('worksheets')">
      <section v-for="[name, sheets] in groups" :key="name">
        <h2>{{ name }}</h2>
        <RouterLink
          v-for="w in sheets"
          :key="w.name"
          :to="`/bench/${w.name}`"
          :aria-current="w.name === sheet.name ? 'page' : undefined"
          >{{ w.title }}</RouterLink
        >
      </section>
    </nav>
    <KitField class="phone-pick" :label="say('worksheet')"
      ><Pick
        :model-value="sheet.name"
        :label="say('worksheet')"
        :options="groups.flatMap(([, sheets]) => sheets.map((w) => ({ id: w.name, label: w.title })))"
        @update:model-value="router.push(`/bench/${$event}`)"
    /></KitField>

    <article class="stack">
      <Notice v-if="unknown" bad>{{ say('thereIsNoWorksheet', { params: String(route.params['name']) }) }}</Notice>
      <header class="head">
        <h1>{{ sheet.title }}</h1>
        <p class="soft">{{ sheet.asks }}</p>
        <div class="acts">
          <ElButton @click="copy(link(), say('link'))">{{ say('copyLink') }}</ElButton>
          <ElButton
            :disabled="!lines.length"
            @click="copy(sheetAsText(sheet, typed, lines, reasons, link()), say('worksheet'))"
            >{{ say('copyAsText') }}</ElButton
          >
        </div>
      </header>
      <p v-if="copied" class="soft copied" role="status">{{ copied }}</p>
      <div class="sheet">
        <form class="card fields" :aria-label="sheet.title" @submit.prevent="compute()">
          <BenchField
            v-for="field in sheet.fields"
            :key="field.id"
            :field="field"
            :value="typed[field.id] ?? ''"
            :choices="choicesOf(field)"
            :wrong="bad?.field === field.id || refusal?.field?.split('/')[0] === field.id"
            @set="set(field, $event)"
          />
          <div class="row wide">
            <ElButton v-if="slow" type="primary" native-type="submit" :disabled="running">{{
              say('simulateIt')
            }}</ElButton>
            <ElButton v-if="running" @click="cancel">{{ say('callItOff') }}</ElButton>
            <HowFar v-if="running" :share="progress" :label="say('howFar')" />
          </div>
        </form>
        <section class="card stack answer" aria-live="polite">
          <Notice v-if="bad ?? failure" bad>{{ bad?.message ?? failure }}</Notice>
          <Notice v-else-if="refusal" bad>{{ sayFact(refusal.says, fieldNamesOf(sheet)) }}</Notice>
          <template v-else-if="lines.length">
            <dl>
              <div v-for="(l, i) in lines" :key="l.label" :class="{ first: i === 0, long: l.text.length > 44 }">
                <dt>{{ l.label }}</dt>
                <dd>
                  {{ l.text }}<span v-if="l.spread" class="soft">{{ l.spread }}</span>
                </dd>
              </div>
            </dl>
            <DrawnResult v-if="drawing" :drawing="drawing" />
            <ul v-if="reasons.length" class="soft">
              <li v-for="r in reasons" :key="r">{{ r }}</li>
            </ul>
          </template>
          <p v-else-if="running" class="soft">{{ say('working') }}</p>
          <p v-else class="soft">
            {{ slow ? say('pressSimulateItThisTakes') : '' }}
          </p>
        </section>
      </div>
      <p class="how">
        <strong>{{ say('how') }}</strong> {{ sheet.equation }} <strong>{{ say('source') }}</strong> {{ sheet.source }}.
        <strong>{{ say('holdsFor') }}</strong> {{ sheet.range }}.
      </p>
    </article>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: 232px minmax(0, 1fr);
  gap: var(--s-24);
  align-items: start;
}
.list h2 {
  font: 600 var(--t-small) var(--font);
  color: var(--soft);
  margin: var(--s-12) 0 var(--s-2);
}
.list section:first-child h2 {
  margin-top: 0;
}
.list a {
  display: block;
  padding: var(--s-4) var(--s-8);
  border-left: 4px solid transparent;
  color: var(--ink);
  text-decoration: none;
  font-size: var(--t-note);
}
.list a:hover {
  border-left-color: var(--line);
}
.list a[aria-current] {
  border-left-color: var(--accent);
  background: var(--paper-deep);
  font-weight: 650;
}
.phone-pick {
  display: none;
}
.sheet {
  display: grid;
  grid-template-columns: 350px minmax(0, 1fr);
  gap: var(--s-16);
  align-items: start;
}
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: var(--s-12);
}
dl {
  margin: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--s-12) var(--s-24);
}
dl .first dd {
  font: 650 var(--t-title)/1.15 var(--font-head);
}
dl .long {
  grid-column: 1 / -1;
}
dl .long dd {
  font-weight: 400;
}
dt {
  color: var(--soft);
  font-size: var(--t-note);
}
dd {
  margin: 0;
  font-weight: 600;
}
dd .soft {
  display: block;
  font: 400 var(--t-note)/1.35 var(--font);
}
.how {
  font-size: var(--t-note);
}
.copied {
  white-space: pre-wrap;
}
@media (max-width: 1000px) {
  .sheet {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 820px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--s-16);
  }
  .list {
    display: none;
  }
  .phone-pick {
    display: grid;
  }
}
</style>
