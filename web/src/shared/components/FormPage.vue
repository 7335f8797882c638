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
    <div class="sides" :class="{ alone: !$slots.aside }">
      <form novalidate @submit.prevent="emit('submit')">
        <slot />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <div v-if="!readonly" class="actions">
          <el-button type="primary" native-type="submit" :loading="sending">{{ action }}</el-button>
          <slot name="beside" />
        </div>
      </form>
      <aside v-if="$slots.aside"><slot name="aside" /></aside>
    </div>
  </main>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 7fr) minmax(0, 5fr);
  gap: 48px;
  align-items: start;
  margin-top: var(--gap-4);
}

.alone {
  grid-template-columns: minmax(0, 760px);
}

form {
  display: grid;
  gap: var(--gap-4);
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

aside {
  position: sticky;
  top: 24px;
}

@media (width <= 1100px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 24px;
  }

  aside {
    position: static;
  }
}
</style>
