<script setup lang="ts">
import { changeSettings, removeHousehold } from '@vadose/contract/households'
import { ElButton, ElInput } from 'element-plus'
import { computed, reactive, ref, watch } from 'vue'
import { Dialog, Field, Form, message } from '../kit'
import { write } from '../view'
import { useAttempt } from './attempt'
import { useFrame } from './frame'
import { say } from './say'

/** Its name, and its end: for good, so its name is typed. */
const frame = useFrame()
const own = computed(() => frame.frame?.household.name ?? '')
const renamed = reactive({ name: '' })
const ended = reactive({ name: '' })
const ending = ref(false)
const naming = useAttempt()
const removal = useAttempt()
watch(own, (next) => (renamed.name = next), { immediate: true })

const rename = async () => {
  const done = await naming.attempt(() => write(changeSettings, { body: { name: renamed.name.trim() } }))
  if (done) message(say('keptItsAddressAndIts'))
}
const remove = () =>
  removal.attempt(async () => {
    await write(removeHousehold, { body: { name: ended.name } })
    location.assign('/')
  })
</script>

<template>
  <section class="card stack" :aria-label="say('nameAndEnd')">
    <h2>{{ say('itsName') }}</h2>
    <Form
      class="row"
      :model="renamed"
      :rules="{ name: ({ name }) => (name.trim() ? undefined : say('itWantsAName')) }"
      :refused="naming.refusal.value"
      @keep="rename"
    >
      <Field name="name">
        <ElInput v-model="renamed.name" class="name" maxlength="60" :aria-label="say('nameOfTheHousehold')" />
      </Field>
      <ElButton native-type="submit" :disabled="renamed.name.trim() === own || naming.busy.value">{{
        say('renameIt')
      }}</ElButton>
      <ElButton @click="ending = true">{{ say('removeThisHousehold') }}</ElButton>
    </Form>
    <Dialog :open="ending" :title="say('removeThisHousehold')" @close="ending = false">
      <Form
        class="stack"
        :model="ended"
        :rules="{ name: ({ name }) => (name.trim() === own ? undefined : say('itIsCalled', { own })) }"
        :refused="removal.refusal.value"
        @keep="remove"
      >
        <p>
          {{ say('everythingOfGoesForGood', { own }) }}
        </p>
        <Field name="name" :label="say('itsNameToRemoveIt')">
          <ElInput v-model="ended.name" :placeholder="own" :aria-label="say('itsNameToRemoveIt')" />
        </Field>
        <div class="row">
          <ElButton type="danger" native-type="submit" :disabled="ended.name.trim() !== own || removal.busy.value">{{
            say('removeItForGood')
          }}</ElButton>
          <ElButton @click="ending = false">{{ say('keepIt') }}</ElButton>
        </div>
      </Form>
    </Dialog>
  </section>
</template>

<style scoped>
.name {
  width: 260px;
  max-width: 100%;
}
</style>
