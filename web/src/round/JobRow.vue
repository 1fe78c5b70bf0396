<script setup lang="ts">
import type { JobView } from '@vadose/contract/round'
import { daysBetween } from '@vadose/core/household'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { ApiError, post } from '../api'
import { cropColour } from '../crops'
import { useFrame } from '../household'
import { EndTests } from '../line'
import { useAct, WeighField } from '../lots'

const props = defineProps<{ job: JobView; placeId: string; today: string }>()
const frame = useFrame()
const { act, refusal, busy } = useAct()
const testing = ref(false)
const celsius = ref('')
const percent = ref('')
const failure = ref('')
const number = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('−', '-')))
const readable = computed(() => Number.isFinite(number(celsius.value)) && Number.isFinite(number(percent.value)))
const late = computed(() => daysBetween(props.job.dueOn, props.today))

async function read() {
  failure.value = ''
  try {
    await post(`/places/${props.placeId}/readings`, {
      temperatureC: number(celsius.value),
      relativeHumidityPct: number(percent.value),
    })
    await frame.changed()
  } catch (error) {
    failure.value = error instanceof ApiError ? error.message : String(error)
  }
}
</script>

<template>
  <article class="job" :data-kind="job.kind" :style="{ '--mark': job.crop ? cropColour(job.crop) : 'var(--cold)' }">
    <div class="what">
      <h3>
        {{ job.title }}
        <RouterLink v-if="job.code" :to="`/lots/${job.code}`">{{ job.code }}</RouterLink>
      </h3>
      <p class="soft">
        {{ job.why }}<template v-if="late > 1"> Due {{ late }} days ago.</template>
      </p>
      <EndTests v-if="testing && job.code && job.crop" :code="job.code" :crop="job.crop" @done="testing = false" />
      <p v-if="refusal || failure" class="bad" role="alert">{{ refusal?.message ?? failure }}</p>
    </div>
    <div class="control">
      <WeighField
        v-if="job.kind === 'weigh' && job.code"
        :code="job.code"
        :basis="job.basis"
        :expected-g="job.expectedG"
      />
      <ElButton v-else-if="job.kind === 'test'" @click="testing = !testing">{{
        testing ? 'Later' : 'Feel them'
      }}</ElButton>
      <RouterLink
        v-else-if="job.kind === 'take-down'"
        class="el-button el-button--primary"
        :to="`/lots/${job.code}/finish`"
        >Take down</RouterLink
      >
      <template v-else-if="job.kind === 'unstall' && job.code">
        <ElButton :disabled="busy" @click="act(job.code, { act: 'fan', on: true })">Fan on</ElButton>
        <RouterLink class="el-button" :to="`/line?lot=${job.code}`">What would help</RouterLink>
      </template>
      <RouterLink v-else-if="job.kind === 'check'" class="el-button el-button--primary" :to="`/lots/${job.code}/check`"
        >Start check</RouterLink
      >
      <RouterLink v-else-if="job.kind === 'use'" class="el-button" :to="`/lots/${job.code}`">Use some</RouterLink>
      <form v-else-if="job.kind === 'read'" class="row" @submit.prevent="read">
        <ElInput v-model="celsius" class="short" inputmode="decimal" aria-label="Temperature, °C"
          ><template #suffix>°C</template></ElInput
        >
        <ElInput v-model="percent" class="short" inputmode="decimal" aria-label="Humidity, %"
          ><template #suffix>%</template></ElInput
        >
        <ElButton type="primary" native-type="submit" :disabled="!readable">Keep</ElButton>
      </form>
    </div>
  </article>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px 18px;
  align-items: center;
  padding: 11px 0 11px 16px;
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
  gap: 8px;
}
.control .el-button + .el-button {
  margin: 0;
}
.short {
  width: 86px;
}
@media (max-width: 820px) {
  .job {
    grid-template-columns: 1fr;
  }
}
</style>
