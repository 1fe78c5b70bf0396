<script setup lang="ts">
import { changeSettings, removeHousehold } from '@vadose/contract/households'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { write } from '../view'
import { useFrame } from './frame'
import { refused } from './refused'

/** Its name, and its end: for good, so its name is typed. */
const frame = useFrame()
const own = computed(() => frame.frame?.household.name ?? '')
const name = ref('')
const typed = ref('')
const ending = ref(false)
const failure = ref('')
const kept = ref(false)
watch(own, (next) => (name.value = next), { immediate: true })

async function attempt(work: () => Promise<void>) {
  failure.value = ''
  kept.value = false
  try {
    await work()
  } catch (error) {
    failure.value = refused(error).message
  }
}
const rename = () =>
  attempt(async () => {
    await write(changeSettings, { body: { name: name.value.trim() } })
    kept.value = true
  })
const remove = () =>
  attempt(async () => {
    await write(removeHousehold, { body: { name: typed.value } })
    location.assign('/')
  })
</script>

<template>
  <section class="card stack" aria-label="Name and end">
    <h2>Its name</h2>
    <form class="row" @submit.prevent="rename">
      <ElInput v-model="name" class="name" maxlength="60" aria-label="Name of the household" />
      <ElButton native-type="submit" :disabled="!name.trim() || name.trim() === own">Rename it</ElButton>
      <ElButton v-if="!ending" @click="ending = true">Remove this household</ElButton>
    </form>
    <p v-if="kept" class="good" role="status">Kept. Its address and its tags stay as they are.</p>
    <form v-if="ending" class="stack" @submit.prevent="remove">
      <p>
        Everything of {{ own }} goes for good: lots, ledger, readings, pictures. Take its file with you first (Safe
        keeping). Type its name to remove it.
      </p>
      <div class="row">
        <ElInput v-model="typed" class="name" :placeholder="own" aria-label="Its name, to remove it" />
        <ElButton type="danger" native-type="submit" :disabled="typed.trim() !== own">Remove it for good</ElButton>
        <ElButton @click="ending = false">Keep it</ElButton>
      </div>
    </form>
    <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>
  </section>
</template>

<style scoped>
.name {
  width: 260px;
}
</style>
