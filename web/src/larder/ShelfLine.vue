<script setup lang="ts">
import type { LarderLot, LarderView } from '@vadose/contract/larder'
import { computed } from 'vue'
import { lotCrop, lotName } from '../almanac'
import { amount, longDate, shortDate, weight } from '../households'
import { littleOf, opensOne, TakeForm } from '../lots'
import Shelf from './Shelf.vue'
import { say } from './say'
import { sayWord, sayFact } from '../voice'
import { Tip } from '../kit'

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
  if (overdueSince) return say('itsTimeWasOverOn', { longDate: longDate(overdueSince) })
  return beyond ? say('keepsOverAYear') : say('inTo', { longDate: longDate(keepsUntil) })
})
const marks = { more: '↑', same: '=', never: '✕' } as const
const verdicts = { more: say('moreOfIt2'), same: say('asMuchAgain2'), never: say('neverAgain2') } as const
const lastsWords = { short: `▾ ${say('short')}`, right: `= ${say('right2')}`, 'too-much': say('tooMuch2') } as const
const sourceWords = { grown: '', bought: 'bought', given: 'given', caught: 'caught', cooked: 'cooked' } as const
</script>

<template>
  <article :data-lot="lot.code">
    <p v-if="lot.note" class="slip">{{ lot.note }}</p>
    <Shelf :lot="lot" />
    <i class="board" aria-hidden="true"></i>
    <h3>
      <a :href="`/lots/${lot.code}`" @click.prevent="$emit('look')">{{ lotName(lot) }}</a>
      <span v-if="lot.verdict" class="verdict" :class="lot.verdict"
        >{{ marks[lot.verdict] }} {{ verdicts[lot.verdict] }}</span
      >
      <span v-if="sourceWords[lot.source]" class="tagged">{{ sayWord(sourceWords[lot.source]) }}</span>
      <span class="soft">{{ lot.code }}</span>
    </h3>
    <p>
      {{ amount(lot.pieces, lot.weightG, lotCrop(lot).piece, lot.guessed)
      }}<template v-if="lot.size">{{ say('each', { size: lot.size }) }}</template>
      <Tip
        v-if="lasts?.lasts"
        :says="
          say('allThereIsOfIt', {
            longDate: longDate(lasts.nextCropOn!),
            gapFrom: lasts.gapFrom ? say('gone', { gapFrom: longDate(lasts.gapFrom) }) : '',
          })
        "
      >
        <span class="lasts" :class="lasts.lasts" tabindex="0"
          >{{ lastsWords[lasts.lasts]
          }}<template v-if="lasts.gapFrom">{{ say('to', { gapFrom: shortDate(lasts.gapFrom) }) }}</template></span
        ></Tip
      >
    </p>
    <p class="soft" :class="{ bad: lot.lossAvoidedPerKg > 0.15 }">
      {{ lot.overdueSince || lot.aside ? '▲ ' : lot.lossAvoidedPerKg > 0.15 ? say('eatNow') : ''
      }}{{ lot.stage === 'fresh' ? sayFact(lot.why) : until }}
    </p>
    <!-- plain buttons in the kit's dress: with five hundred lines a component each would hold the page up -->
    <div class="row no-print">
      <button
        type="button"
        class="el-button el-button--primary"
        :disabled="busy"
        :aria-label="say('useALittleOf', { pieces: lot.pieces === null ? 'yes' : 'no', code: lot.code })"
        @click="$emit('use')"
      >
        {{ lot.pieces === null ? say('use', { weight: weight(littleOf(lot)) }) : say('useOne') }}
      </button>
      <button
        v-if="opensOne(lot)"
        type="button"
        class="el-button"
        :disabled="busy"
        :aria-label="say('openOneOf', { code: lot.code })"
        @click="$emit('open')"
      >
        {{ say('openOne') }}
      </button>
      <button type="button" class="el-button" :aria-label="say('useSomeOf', { code: lot.code })" @click="$emit('some')">
        {{ say('some') }}
      </button>
    </div>
    <TakeForm v-if="some" :lot="lot" kind="use" @done="$emit('done')" />
  </article>
</template>

<style scoped>
article {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--s-4);
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
  margin: calc(-1 * var(--s-4)) calc(-1 * var(--s-12)) var(--s-4);
}
.slip {
  position: absolute;
  right: -6px;
  top: -14px;
  max-width: 60%;
  margin: 0;
  padding: var(--s-6) var(--s-8);
  background: color-mix(in srgb, var(--stock) 26%, var(--card));
  border: 1px solid var(--stock);
  transform: rotate(-1.5deg);
  font-style: italic;
  font-size: var(--t-note);
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
  font: 600 var(--t-small) var(--font);
  margin-left: var(--s-6);
}
.verdict.more {
  color: var(--good);
}
.verdict.never {
  color: var(--bad);
}
.tagged {
  font: 500 var(--t-small) var(--font);
  border: 1px solid var(--wall);
  border-radius: 3px 8px 8px 3px;
  padding: 0 var(--s-8) 0 var(--s-6);
  margin: 0 var(--s-6);
}
.lasts {
  display: block;
  font: 600 var(--t-small) var(--font);
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
