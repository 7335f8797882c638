<script setup lang="ts">
import { RouterLink, type RouteLocationRaw } from 'vue-router'

/** The way to another page where it is the thing to do here, and so looks like a button. */
defineProps<{ to: RouteLocationRaw; type?: 'primary'; text?: boolean }>()
</script>

<template>
  <el-button :tag="RouterLink" :to="to" :type="type" :text="text"><slot /></el-button>
</template>
