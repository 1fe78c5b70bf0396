<script setup lang="ts">
import { listPlaces } from '@vadose/contract/places'
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { useView } from '../view'
import { say } from './say'

/** One tap into the fridge where there is one; else to the lot's page, where its place is chosen. */
defineProps<{ code: string; busy: boolean }>()
defineEmits<{ put: [placeId: string] }>()
const { answer: places } = useView(listPlaces)
const fridge = computed(() => places.value?.find(({ kind }) => kind === 'fridge')?.id)
</script>

<template>
  <ElButton v-if="fridge" type="primary" :disabled="busy" @click="$emit('put', fridge)">{{
    say('intoTheFridge')
  }}</ElButton>
  <RouterLink v-else class="el-button" :to="`/lots/${code}`">{{ say('intoTheCold') }}</RouterLink>
</template>
