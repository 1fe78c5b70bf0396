<script setup lang="ts">
import { listLots, type LotRow } from '@vadose/contract/lots'
import { listPlaces, type PlaceView } from '@vadose/contract/places'
import { ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../call'
import { findAmong, type Found } from './find'
import { say } from './say'

const router = useRouter()
const words = ref('')
const at = ref(0)
const open = ref(false)
const input = ref<InstanceType<typeof ElInput>>()
const lots = ref<LotRow[]>([])
const places = ref<PlaceView[]>([])

defineExpose({ focus: () => input.value?.focus() })

async function opened() {
  open.value = true
  try {
    ;[lots.value, places.value] = await Promise.all([call(listLots, {}), call(listPlaces, {})])
  } catch {
    // the page itself says when Vadose does not answer
  }
}

const found = computed(() => findAmong(lots.value, places.value, words.value))

function go(one: Found | undefined) {
  if (!one) return
  open.value = false
  words.value = ''
  input.value?.blur()
  void router.push(one.to)
}
function onKey(event: Event | KeyboardEvent) {
  const { key } = event as KeyboardEvent
  if (key === 'ArrowDown') at.value = Math.min(found.value.length - 1, at.value + 1)
  else if (key === 'ArrowUp') at.value = Math.max(0, at.value - 1)
  else if (key === 'Enter') go(found.value[at.value])
  else if (key === 'Escape') {
    open.value = false
    ;(event.target as HTMLElement).blur()
  } else at.value = 0
}
const closeSoon = () => setTimeout(() => (open.value = false), 150)
</script>

<template>
  <div class="find-box">
    <ElInput
      ref="input"
      v-model="words"
      :placeholder="say('findALotCropOr')"
      :aria-label="say('findALotCropOr')"
      autocomplete="off"
      @focus="opened"
      @blur="closeSoon"
      @keydown="onKey"
    >
      <template #suffix><kbd>/</kbd></template>
    </ElInput>
    <!-- what is found are links, which no field of the kit offers; its keys are tested in e2e/demo.spec.ts -->
    <!-- eslint-disable-next-line vue/no-restricted-static-attribute -->
    <ul v-if="open" class="found card" role="listbox" :aria-label="say('found')">
      <li v-for="(one, i) in found" :key="one.key" role="option" :aria-selected="i === at">
        <a :href="one.to" @mousedown.prevent @click.prevent="go(one)">
          <strong>{{ one.title }}</strong> <span class="soft">{{ one.detail }}</span>
        </a>
      </li>
      <li v-if="found.length === 0" class="soft">{{ say('nothingHereGoesByThat') }}</li>
    </ul>
  </div>
</template>

<style scoped>
.find-box {
  position: relative;
}
.found {
  position: absolute;
  z-index: 25;
  right: 0;
  left: 0;
  min-width: 260px;
  top: calc(100% + 4px);
  margin: 0;
  padding: var(--s-6);
  list-style: none;
  box-shadow: 0 8px 22px rgb(0 0 0 / 18%);
}
.found a {
  display: grid;
  padding: var(--s-8) var(--s-8);
  border-radius: 6px;
  color: var(--ink);
  text-decoration: none;
}
.found li[aria-selected='true'] a,
.found a:hover {
  background: var(--paper-deep);
}
</style>
