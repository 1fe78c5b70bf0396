<script setup lang="ts">
import type { LarderLot, LarderView } from '@vadose/contract/larder'
import { computed } from 'vue'
import { lotCrop, lotName } from '../almanac'
import { amount, inUnits, longDate, shortDate, weight } from '../households'
import { littleOf, opensOne, TakeForm } from '../lots'
import Shelf from './Shelf.vue'

/** A line of the shelf: what stands there, how long it keeps, one taken by one tap. */
const props = defineProps<{
  lot: LarderLot
  busy: boolean
  some: boolean
  /** how all there is of its crop lasts to the next harvest */
  lasts: LarderView['runOut'][number] | undefined
}>()
defineEmits<{ use: []; open: []; some: []; look: []; done: [] }>()
const until = computed(() => {
  const { overdueSince, beyond, keepsUntil } = props.lot
  if (overdueSince) return `its time was over on ${longDate(overdueSince)}`
  return beyond ? 'keeps over a year' : `9 in 10 to ${longDate(keepsUntil)}`
})
const marks = { more: '↑', same: '=', never: '✕' } as const
const verdicts = { more: 'more of it', same: 'as much again', never: 'never again' } as const
const lastsWords = { short: '▾ short', right: '= right', 'too-much': '▴ too much' } as const
const sourceWords = { grown: '', bought: 'bought', given: 'given', caught: 'caught', cooked: 'cooked' } as const
</script>

<template>
  <article :data-lot="lot.code">
    <p v-if="lot.note" class="slip">{{ lot.note }}</p>
    <Shelf :lot="lot" />
    <i class="board" aria-hidden="true"></i>
    <h3>
      <a :href="`/lots/${lot.code}`" @click.prevent="$emit('look')">{{ lotName(lot) }}</a>
      <span v-if="lot.verdict" class="verdict" :class="lot.verdict" :title="verdicts[lot.verdict]"
        >{{ marks[lot.verdict] }} {{ verdicts[lot.verdict] }}</span
      >
      <span v-if="sourceWords[lot.source]" class="tagged">{{ sourceWords[lot.source] }}</span>
      <span class="soft">{{ lot.code }}</span>
    </h3>
    <p>
      {{ amount(lot.pieces, lot.weightG, lotCrop(lot).piece, lot.guessed)
      }}<template v-if="lot.size">, {{ lot.size }} each</template>
      <span
        v-if="lasts?.lasts"
        class="lasts"
        :class="lasts.lasts"
        :title="`All there is of it, to the next crop about ${longDate(lasts.nextCropOn!)}${lasts.gapFrom ? `: gone ${longDate(lasts.gapFrom)}` : ''}`"
        >{{ lastsWords[lasts.lasts]
        }}<template v-if="lasts.gapFrom">, to {{ shortDate(lasts.gapFrom) }}</template></span
      >
    </p>
    <p class="soft" :class="{ bad: lot.lossAvoidedPerKg > 0.15 }">
      {{ lot.overdueSince || lot.aside ? '▲ ' : lot.lossAvoidedPerKg > 0.15 ? '▲ eat now: ' : ''
      }}{{ lot.stage === 'fresh' ? inUnits(lot.why) : until }}
    </p>
    <!-- plain buttons in the kit's dress: with five hundred lines a component each would hold the page up -->
    <div class="row no-print">
      <button
        type="button"
        class="el-button el-button--primary"
        :disabled="busy"
        :aria-label="`Use ${lot.pieces === null ? 'a little' : 'one'} of ${lot.code}`"
        @click="$emit('use')"
      >
        {{ lot.pieces === null ? `Use ${weight(littleOf(lot))}` : 'Use one' }}
      </button>
      <button
        v-if="opensOne(lot)"
        type="button"
        class="el-button"
        :disabled="busy"
        :aria-label="`Open one of ${lot.code}`"
        @click="$emit('open')"
      >
        Open one
      </button>
      <button type="button" class="el-button" :aria-label="`Use some of ${lot.code}`" @click="$emit('some')">
        Some
      </button>
    </div>
    <TakeForm v-if="some" :lot="lot" kind="use" @done="$emit('done')" />
  </article>
</template>

<style scoped>
article {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  align-content: start;
  position: relative;
  /* far off the screen it is not laid out */
  content-visibility: auto;
  contain-intrinsic-size: auto 180px;
}
.board {
  height: 7px;
  background: var(--rope);
  opacity: 0.6;
  margin: -3px -12px 3px;
}
.slip {
  position: absolute;
  right: -6px;
  top: -14px;
  max-width: 60%;
  margin: 0;
  padding: 6px 10px;
  background: color-mix(in srgb, var(--stock) 26%, var(--card));
  border: 1px solid var(--stock);
  transform: rotate(-1.5deg);
  font-style: italic;
  font-size: 14px;
  z-index: 1;
}
.slip::before {
  content: '';
  position: absolute;
  top: -4px;
  left: 50%;
  width: 8px;
  height: 8px;
  border-radius: 50%;
  background: var(--bad);
}
.verdict {
  font: 600 13px var(--font);
  margin-left: 6px;
}
.verdict.more {
  color: var(--good);
}
.verdict.never {
  color: var(--bad);
}
.tagged {
  font: 500 13px var(--font);
  border: 1px solid var(--wall);
  border-radius: 3px 8px 8px 3px;
  padding: 0 8px 0 6px;
  margin: 0 6px;
}
.lasts {
  display: block;
  font: 600 13px var(--font);
}
.lasts.short {
  color: var(--bad);
}
.lasts.right {
  color: var(--good);
}
a {
  color: var(--ink);
}
@media print {
  article {
    content-visibility: visible;
  }
}
</style>
