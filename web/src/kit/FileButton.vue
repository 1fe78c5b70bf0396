<script setup lang="ts">
/** A file, or with a camera a picture, taken by a tap on a button like any other. */
defineProps<{ label: string; accept: string; camera?: boolean; busy?: boolean }>()
const emit = defineEmits<{ file: [file: File] }>()
function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  // the same file can be taken again
  input.value = ''
  if (file) emit('file', file)
}
</script>

<template>
  <label class="el-button file" :class="{ busy }">
    <slot />
    <input
      type="file"
      :accept="accept"
      :capture="camera ? 'environment' : undefined"
      :aria-label="label"
      @change="take"
    />
  </label>
</template>

<style scoped>
.file {
  position: relative;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.file:focus-within {
  outline: 2.5px solid var(--accent);
  outline-offset: 2px;
}
.busy {
  opacity: 0.6;
}
</style>
