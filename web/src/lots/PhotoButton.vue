<script setup lang="ts">
import { ref } from 'vue'
import { FileButton, Notice } from '../kit'
import { addPhoto } from '@vadose/contract/photos'
import { ApiError } from '../call'
import { write } from '../view'
import { say } from './say'

/** Takes a picture of a lot: made small here, so that what the camera wrote into the file never leaves the phone. */
const props = defineProps<{ code: string; pictured?: boolean }>()
const emit = defineEmits<{ kept: [] }>()
const failure = ref('')
const kept = ref(false)
const busy = ref(false)
const longestPx = 800

async function take(file: File) {
  busy.value = true
  failure.value = ''
  try {
    const jpeg = await small(file)
    await write(addPhoto, { params: { code: props.code }, body: jpeg })
    kept.value = true
    emit('kept')
  } catch (error) {
    failure.value = error instanceof ApiError ? error.message : say('thatFileIsNoPicture')
  } finally {
    busy.value = false
  }
}

async function small(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, longestPx / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error(say('noPicture')))), 'image/jpeg', 0.8),
  )
}
</script>

<template>
  <FileButton :label="say('pictureOf', { code })" accept="image/*" camera :busy="busy" @file="take">{{
    kept ? say('pictureKept') : pictured ? say('newPicture') : say('picture')
  }}</FileButton>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
</template>
