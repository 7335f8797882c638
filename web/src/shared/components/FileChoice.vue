<script setup lang="ts">
/** A file of this device; it is read here and goes nowhere by itself. */
defineProps<{ accept: string; type?: 'primary'; disabled?: boolean }>()
const emit = defineEmits<{ chosen: [file: File] }>()
</script>

<template>
  <el-upload
    :accept="accept"
    :show-file-list="false"
    :auto-upload="false"
    :disabled="disabled"
    @change="(file) => file.raw && emit('chosen', file.raw)"
  >
    <el-button tag="span" :type="type"><slot /></el-button>
  </el-upload>
</template>
