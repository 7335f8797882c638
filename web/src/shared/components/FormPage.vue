<script setup lang="ts">
/** A page with a form: its fields on the left, what they amount to on the right, one action at the end. */
defineProps<{
  title: string
  sending: boolean
  /** What the one action does. */
  action: string
  /** What is wrong with the whole of it. */
  trouble?: string
  /** To be read only: there is nothing to send. */
  readonly?: boolean
}>()
const emit = defineEmits<{ submit: [] }>()
</script>

<template>
  <main class="page">
    <h1>{{ title }}</h1>
    <div class="sides grid cols-[7_5] gap-48px items-start mt-4" :class="{ alone: !$slots.aside }">
      <form class="grid gap-4" novalidate @submit.prevent="emit('submit')">
        <slot />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <div v-if="!readonly" class="actions flex flex-wrap gap-10px">
          <el-button type="primary" native-type="submit" :loading="sending">{{ action }}</el-button>
          <slot name="beside" />
        </div>
      </form>
      <aside v-if="$slots.aside" class="sticky top-24px max-desk:static"><slot name="aside" /></aside>
    </div>
  </main>
</template>

<style scoped>
.alone {
  grid-template-columns: minmax(0, 760px);
}

@media (width <= 1100px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 24px;
  }
}
</style>
