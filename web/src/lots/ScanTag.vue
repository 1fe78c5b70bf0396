<script setup lang="ts">
import { FileButton, Notice } from '../kit'
import { ElButton } from 'element-plus'
import { onBeforeUnmount, ref } from 'vue'
import { useRouter } from 'vue-router'
import { householdHere } from '../call'
import { tagIn } from './tag'
import { say } from './say'

/** Opens a lot by the QR on its tag: by the camera where the browser allows it, or from a picture. */
const router = useRouter()
const video = ref<HTMLVideoElement>()
const looking = ref(false)
const says = ref('')
// a page that is not safe (http from another machine) is shown no camera
const camera = typeof navigator.mediaDevices?.getUserMedia === 'function'
const longestPx = 1000
const everyMs = 180
let stream: MediaStream | undefined
let timer: ReturnType<typeof setTimeout> | undefined

function stop() {
  clearTimeout(timer)
  stream?.getTracks().forEach((track) => track.stop())
  stream = undefined
  looking.value = false
}
onBeforeUnmount(stop)

async function decode(
  source: HTMLVideoElement | ImageBitmap,
  width: number,
  height: number,
): Promise<string | undefined> {
  const { default: jsQR } = await import('jsqr')
  const scale = Math.min(1, longestPx / Math.max(width, height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(width * scale)
  canvas.height = Math.round(height * scale)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(source, 0, 0, canvas.width, canvas.height)
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height)
  return jsQR(data, canvas.width, canvas.height)?.data
}

function open(text: string): boolean {
  const tag = tagIn(text)
  if (!tag) {
    says.value = say('thatCodeIsNotOn')
    return false
  }
  stop()
  // another household's tag opens in its own house
  if (tag.household && tag.household !== householdHere) location.assign(`/${tag.household}/lots/${tag.code}`)
  else void router.push(`/lots/${tag.code}`)
  return true
}

async function look() {
  says.value = ''
  try {
    stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } })
  } catch {
    says.value = say('theCameraIsNotTo')
    return
  }
  looking.value = true
  const next = async () => {
    const frame = video.value
    if (!looking.value) return
    if (frame && frame.videoWidth > 0) {
      const text = await decode(frame, frame.videoWidth, frame.videoHeight)
      if (text && open(text)) return
    }
    timer = setTimeout(() => void next(), everyMs)
  }
  timer = setTimeout(() => {
    if (video.value && stream) {
      video.value.srcObject = stream
      void video.value.play()
    }
    void next()
  }, 0)
}

async function fromPicture(file: File) {
  says.value = ''
  try {
    const picture = await createImageBitmap(file)
    const text = await decode(picture, picture.width, picture.height)
    if (text) open(text)
    else says.value = say('noTagToBeRead')
  } catch {
    says.value = say('thatFileIsNoPicture')
  }
}
</script>

<template>
  <section class="card stack">
    <h2>{{ say('byItsTag') }}</h2>
    <div class="row">
      <ElButton v-if="camera && !looking" type="primary" @click="look">{{ say('lookWithTheCamera') }}</ElButton>
      <ElButton v-if="looking" @click="stop">{{ say('stop') }}</ElButton>
      <FileButton :label="say('pictureOfATag')" accept="image/*" camera @file="fromPicture">{{
        say('fromAPicture')
      }}</FileButton>
    </div>
    <video v-if="looking" ref="video" muted playsinline :aria-label="say('whatTheCameraSees')"></video>
    <Notice v-if="says" bad>{{ says }}</Notice>
  </section>
</template>

<style scoped>
video {
  width: min(100%, 520px);
  border-radius: 8px;
  background: var(--ink);
}
</style>
