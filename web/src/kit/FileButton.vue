<script setup lang="ts">
import { ElUpload, type UploadFile, type UploadInstance } from 'element-plus'
import 'element-plus/es/components/upload/style/css'
import { onMounted, ref } from 'vue'
import { IconFile, IconPicture } from './icons'

/** A file, or with a camera a picture, taken by a tap on a button like any other; nothing is sent by itself. */
const props = defineProps<{ label: string; accept: string; camera?: boolean; busy?: boolean }>()
const emit = defineEmits<{ file: [file: File] }>()
const upload = ref<UploadInstance>()
onMounted(() => {
  const input = (upload.value?.$el as HTMLElement).querySelector('input')!
  input.setAttribute('aria-label', props.label)
  input.parentElement!.setAttribute('aria-description', props.label)
  if (props.camera) input.setAttribute('capture', 'environment')
})
function take({ raw }: UploadFile) {
  upload.value?.clearFiles()
  if (raw) emit('file', raw)
}
</script>

<template>
  <ElUpload
    ref="upload"
    class="file"
    :accept="accept"
    :auto-upload="false"
    :show-file-list="false"
    :disabled="busy ?? false"
    :on-change="take"
  >
    <span class="el-button"
      ><component :is="camera ? IconPicture : IconFile" class="icon" aria-hidden="true" /><slot
    /></span>
  </ElUpload>
</template>

<style scoped>
.file {
  display: inline-flex;
}
.file :deep(.el-upload) {
  border-radius: var(--radius);
}
.file :deep(.el-upload:focus) .el-button {
  color: inherit;
}
.file :deep(.el-upload:focus-visible) {
  outline: 3px solid var(--accent);
  outline-offset: 2px;
}
.file :deep(.is-disabled) {
  opacity: 0.6;
}
</style>
