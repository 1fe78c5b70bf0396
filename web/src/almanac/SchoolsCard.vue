<script setup lang="ts">
import { Choices } from '../kit'
import type { Crop } from '@vadose/core/almanac'
import { schoolOf } from './almanac'
import { say } from './say'
import { sayWord, sayProse } from '../voice'

/** Where practitioners differ, with the household's choice; when it is ready; the ways of keeping it. */
defineProps<{ crop: Crop }>()
defineEmits<{ choose: [topic: string, choice: string] }>()
const wayWord: Record<string, string> = {
  store: say('store'),
  'in-ground': say('leaveInTheGround'),
  freeze: say('freeze'),
  dry: say('dry'),
  brine: say('brine'),
  jar: say('jar'),
  seed: say('seed'),
  fresh: say('eatFresh'),
}
</script>

<template>
  <section class="card stack">
    <h2>{{ say('wherePeopleDiffer') }}</h2>
    <p v-if="!crop.schools.length" class="soft">{{ say('nobodyArguesAboutThisOne') }}</p>
    <div v-for="s in crop.schools" :key="s.topic" class="school">
      <h3>{{ sayWord(s.topic) }}</h3>
      <Choices
        class="sides"
        :label="s.question"
        :model-value="schoolOf(crop, s.topic)"
        :options="s.choices.map((c) => ({ id: c.id, label: sayProse(c.label), detail: c.does }))"
        @update:model-value="$event && $emit('choose', s.topic, $event)"
      />
    </div>
    <div v-if="crop.readiness" class="school">
      <h3>{{ say('readyWhen') }}</h3>
      <ul>
        <li v-for="s in crop.readiness.schools" :key="s.id">{{ s.label }}</li>
      </ul>
      <p class="soft">
        {{
          say('tooEarlyTooLate', { earlyCost: crop.readiness.earlyCost, lateCost: sayProse(crop.readiness.lateCost) })
        }}
      </p>
    </div>
    <div class="school">
      <h3>{{ say('waysOfKeeping') }}</h3>
      <ul>
        <li v-for="w in crop.ways" :key="w.way">
          <strong>{{ wayWord[w.way] }}</strong> <span class="soft">{{ sayProse(w.note) }}</span>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.school h3 {
  margin-bottom: var(--s-6);
}
.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 118px), 1fr));
  gap: var(--s-6);
}
ul {
  margin: 0;
  padding-left: var(--s-16);
}
</style>
