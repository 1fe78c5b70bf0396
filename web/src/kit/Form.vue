<script setup lang="ts" generic="Model extends object">
import { ElForm, type FormInstance, type FormRules } from 'element-plus'
import 'element-plus/es/components/form/style/css'
import { computed, provide, ref } from 'vue'
import { refusedKey, type Refused, type Rules } from './form'
import Notice from './Notice.vue'

/**
 * Fields that are kept together. What is wrong with one stands under it; what was refused and belongs to none of them
 * stands below them all. Nothing is kept before the rules hold.
 */
const props = defineProps<{
  model: Model
  rules?: Rules<Model>
  /** what was refused the last time */
  refused?: Refused | undefined
}>()
const emit = defineEmits<{ keep: [] }>()
const form = ref<FormInstance>()
provide(
  refusedKey,
  computed(() => props.refused),
)
const asAsked = computed<FormRules>(() =>
  Object.fromEntries(
    Object.entries(props.rules ?? {}).map(([name, rule]) => [
      name,
      {
        trigger: 'blur',
        validator: (_rule: unknown, _value: unknown, done: (error?: Error) => void) => {
          const says = (rule as (model: Model) => string | undefined)(props.model)
          done(says === undefined ? undefined : new Error(says))
        },
      },
    ]),
  ),
)
const ofAField = computed(() => props.refused?.field !== undefined && props.refused.field in props.model)
async function submit() {
  if (await form.value!.validate().catch(() => false)) emit('keep')
  else (form.value!.$el as HTMLElement).querySelector<HTMLElement>('.is-error input')?.focus()
}
</script>

<template>
  <ElForm ref="form" class="form" :model="model" :rules="asAsked" label-position="top" @submit.prevent="submit">
    <slot />
    <Notice v-if="refused && !ofAField" bad>{{ refused.message }}</Notice>
  </ElForm>
</template>
