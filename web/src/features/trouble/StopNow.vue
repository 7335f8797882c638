<script setup lang="ts">
import { texts } from './texts'
import type { Peril } from './network'
import { EXIT } from './words'

/** A danger is there: nothing else matters until it is over. */
defineProps<{ peril: Peril; sending: boolean }>()
const emit = defineEmits<{ back: []; leave: [] }>()
</script>

<template>
  <section class="py-18px px-4 edge-l-8-brick bg-brick-soft" role="alert">
    <h2 class="mb-2 text-brick text-30px">{{ texts.stop }}</h2>
    <p class="text-22px leading-1.35">{{ peril.stop }}</p>
    <p>{{ EXIT[peril.exit] }}</p>
    <div class="flex flex-wrap gap-10px mt-3">
      <el-button @click="emit('back')">{{ texts.itIsSafeNow }}</el-button>
      <el-button text :disabled="sending" @click="emit('leave')">{{ texts.closeTheCase }}</el-button>
    </div>
  </section>
</template>
