<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useAlerts } from './queries'

const AlertBar = defineAsyncComponent(() => import('./AlertBar.vue'))

/** Asks once whether the site has any device; what watches them is loaded only then. */
const alerts = useAlerts()
const watched = computed(() => alerts.data.value?.watched === true)
</script>

<template>
  <AlertBar v-if="watched" />
</template>
