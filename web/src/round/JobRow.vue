<script setup lang="ts">
import type { JobView } from '@vadose/contract/round'
import { daysBetween } from '@vadose/core/households'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour } from '../almanac'
import { useWriteDown } from '../beds'
import { EndTests } from '../line'
import { useAct, WeighField } from '../lots'
import { ReadField } from '../places'
import { sayFact } from '../voice'
import IntoTheCold from './IntoTheCold.vue'
import { say } from './say'
import { Notice } from '../kit'

const props = defineProps<{ job: JobView; placeId: string; today: string; where?: string }>()
const { act, refusal, busy } = useAct()
const testing = ref(false)
const late = computed(() => daysBetween(props.job.dueOn, props.today))

const atBed = computed(() => (props.job.stand && props.job.crop ? { ...props.job.stand, crop: props.job.crop } : null))
const { writeDown, failure: notNoted, busy: noting } = useWriteDown()
const cutScapes = () => atBed.value && writeDown(atBed.value, { what: 'scapes-cut' })
const bringIn = computed(() => {
  const { crop, bed, variety } = atBed.value!
  return { path: '/bring-in', query: { crop, bed, ...(variety ? { variety } : {}) } }
})
const bed = ref('')
const plantAll = (code: string) => act(code, { act: 'plant', weightG: props.job.plantG!, bed: bed.value.trim() })
</script>

<template>
  <article class="job" :data-kind="job.kind" :style="{ '--mark': job.crop ? cropColour(job.crop) : 'var(--cold)' }">
    <div class="what">
      <h3>
        {{ sayFact(job.title) }}
        <span v-if="where" class="soft">{{ where.toLowerCase() }} · </span>
        <RouterLink v-if="job.code" class="code" :to="`/lots/${job.code}`">{{ job.code }}</RouterLink>
      </h3>
      <p class="soft">
        {{ sayFact(job.why) }}<template v-if="late > 1 && !job.overdue">{{ say('dueDaysAgo', { late }) }}</template>
      </p>
      <EndTests v-if="testing && job.code && job.crop" :code="job.code" :crop="job.crop" @done="testing = false" />
      <Notice v-if="refusal || notNoted" bad>{{ refusal?.message ?? notNoted }}</Notice>
    </div>
    <div class="control">
      <WeighField
        v-if="job.kind === 'weigh' && job.code"
        :code="job.code"
        :basis="job.basis"
        :expected-g="job.expectedG"
      />
      <ElButton v-else-if="job.kind === 'test'" @click="testing = !testing">{{
        testing ? say('later') : say('feelThem')
      }}</ElButton>
      <RouterLink
        v-else-if="job.kind === 'take-down'"
        class="el-button el-button--primary"
        :to="`/lots/${job.code}/finish`"
        >{{ say('takeDown') }}</RouterLink
      >
      <template v-else-if="job.kind === 'unstall' && job.code">
        <ElButton :disabled="busy" @click="act(job.code, { act: 'fan', on: true })">{{ say('fanOn') }}</ElButton>
        <RouterLink class="el-button" :to="`/line?lot=${job.code}`">{{ say('whatWouldHelp') }}</RouterLink>
      </template>
      <template v-else-if="job.overdue && job.code">
        <ElButton :disabled="busy" @click="act(job.code, { act: 'check', lookedAt: job.overdue.lookAt, faults: [] })">{{
          say('stillFine')
        }}</ElButton>
        <RouterLink class="el-button" :to="`/lots/${job.code}/check`">{{ say('someLeft') }}</RouterLink>
        <ElButton
          :disabled="busy"
          @click="act(job.code, { act: 'lose', weightG: job.overdue.weightG, cause: say('pastItsTime') })"
          >{{ say('allGone') }}</ElButton
        >
      </template>
      <template v-else-if="job.kind === 'seal' && job.code">
        <ElButton
          type="primary"
          :disabled="busy"
          @click="act(job.code, { act: 'check', lookedAt: job.jars ?? 1, faults: [] })"
          >{{ say('allDrawnIn') }}</ElButton
        >
        <RouterLink class="el-button" :to="`/lots/${job.code}/check`">{{ say('oneIsNot') }}</RouterLink>
      </template>
      <template v-else-if="job.kind === 'taste' && job.code">
        <ElButton :disabled="busy" @click="act(job.code, { act: 'note', text: say('tastedNotYet') })">{{
          say('notYet')
        }}</ElButton>
        <IntoTheCold :code="job.code" :busy="busy" @put="(placeId) => act(job.code!, { act: 'move', placeId })" />
      </template>
      <template v-else-if="job.kind === 'mind' && job.code">
        <ElButton :disabled="busy" @click="act(job.code, { act: 'note', text: sayFact(job.why) })">{{
          say('done')
        }}</ElButton>
        <RouterLink class="el-button" :to="`/lots/${job.code}`">{{ say('seeIt') }}</RouterLink>
      </template>
      <RouterLink
        v-else-if="job.kind === 'check'"
        class="el-button el-button--primary"
        :to="`/lots/${job.code}/check`"
        >{{ say('startCheck') }}</RouterLink
      >
      <template v-else-if="job.useG && job.code">
        <ElButton :disabled="busy" @click="act(job.code, { act: 'use', weightG: job.useG })">{{
          say('allUsed')
        }}</ElButton>
        <RouterLink class="el-button" :to="`/lots/${job.code}`">{{ say('useSome') }}</RouterLink>
      </template>
      <ElButton
        v-else-if="(job.kind === 'rotate' || job.kind === 'turn') && job.code"
        :disabled="busy"
        @click="act(job.code, { act: 'rotate' })"
        >{{ job.kind === 'turn' ? say('turned') : say('changedRound') }}</ElButton
      >
      <RouterLink v-else-if="job.kind === 'take-out'" class="el-button el-button--primary" to="/line">{{
        say('toTheDryer')
      }}</RouterLink>
      <template v-else-if="job.kind === 'shake' && job.code">
        <ElButton
          type="primary"
          :disabled="busy"
          @click="act(job.code, { act: 'shake', beads: false, mould: false })"
          >{{ say('noBeads') }}</ElButton
        >
        <RouterLink class="el-button" to="/line">{{ say('beadsOrMould') }}</RouterLink>
      </template>
      <RouterLink
        v-else-if="job.kind === 'look-bed' && job.stand"
        class="el-button el-button--primary"
        :to="{ path: '/beds', query: { stand: job.stand.key } }"
        >{{ say('look') }}</RouterLink
      >
      <ElButton v-else-if="job.kind === 'cut-scapes' && atBed" :disabled="noting" @click="cutScapes">{{
        say('cut')
      }}</ElButton>
      <RouterLink v-else-if="job.kind === 'lift' && atBed" class="el-button el-button--primary" :to="bringIn">{{
        say('bringItIn')
      }}</RouterLink>
      <form v-else-if="job.kind === 'plant' && job.code" class="plant" @submit.prevent="plantAll(job.code)">
        <ElInput v-model="bed" maxlength="60" :aria-label="say('bedTheyWentInto')" :placeholder="say('whichBed')" />
        <ElButton native-type="submit" :disabled="busy || !bed.trim()">{{ say('allPlanted') }}</ElButton>
        <RouterLink class="el-button" :to="`/lots/${job.code}`">{{ say('some') }}</RouterLink>
      </form>
      <ReadField v-else-if="job.kind === 'read'" :place-id="placeId" />
    </div>
  </article>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-8) var(--s-16);
  align-items: center;
  padding: var(--s-12) 0 var(--s-12) var(--s-16);
  position: relative;
}
.job::before {
  content: '';
  position: absolute;
  left: 0;
  top: 13px;
  bottom: 13px;
  width: 4px;
  border-radius: 2px;
  background: var(--mark);
}
.control {
  display: flex;
  gap: var(--s-8);
}
.plant {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-8);
}
.plant .el-input {
  width: 130px;
}
.control .el-button + .el-button {
  margin: 0;
}
@media (max-width: 820px) {
  .job {
    grid-template-columns: 1fr;
  }
}
</style>
