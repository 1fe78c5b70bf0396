<script setup lang="ts">
import { changeSettings, removeHousehold } from '@vadose/contract/households'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { write } from '../view'
import { useFrame } from './frame'
import { refused } from './refused'
import { say } from './say'

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
  <section class="card stack" :aria-label="say('nameAndEnd')">
    <h2>{{ say('itsName') }}</h2>
    <form class="row" @submit.prevent="rename">
      <ElInput v-model="name" class="name" maxlength="60" :aria-label="say('nameOfTheHousehold')" />
      <ElButton native-type="submit" :disabled="!name.trim() || name.trim() === own">{{ say('renameIt') }}</ElButton>
      <ElButton v-if="!ending" @click="ending = true">{{ say('removeThisHousehold') }}</ElButton>
    </form>
    <p v-if="kept" class="good" role="status">{{ say('keptItsAddressAndIts') }}</p>
    <form v-if="ending" class="stack" @submit.prevent="remove">
      <p>
        {{ say('everythingOfGoesForGood', { own }) }}
      </p>
      <div class="row">
        <ElInput v-model="typed" class="name" :placeholder="own" :aria-label="say('itsNameToRemoveIt')" />
        <ElButton type="danger" native-type="submit" :disabled="typed.trim() !== own">{{
          say('removeItForGood')
        }}</ElButton>
        <ElButton @click="ending = false">{{ say('keepIt') }}</ElButton>
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
