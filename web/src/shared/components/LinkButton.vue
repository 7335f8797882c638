<script setup lang="ts">
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import { useMayGo } from '../allowed'

/** The way to another page where it is the thing to do here, and so looks like a button; not shown to who may not go there. */
const props = defineProps<{ to: RouteLocationRaw; type?: 'primary'; text?: boolean }>()
const mayGo = useMayGo()
</script>

<template>
  <el-button v-if="mayGo(props.to)" :tag="RouterLink" :to="to" :type="type" :text="text"><slot /></el-button>
</template>
