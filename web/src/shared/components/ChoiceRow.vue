<script setup lang="ts" generic="V extends string">
import type { Choice } from '../words'

/** One of a few, all in view: a row of buttons that behave as radio buttons. */
defineProps<{ legend: string; name: string; choices: Choice<V>[]; error?: string }>()
const chosen = defineModel<V>({ required: true })
</script>

<template>
  <fieldset class="choice" :data-field="name">
    <legend>{{ legend }}</legend>
    <div class="row">
      <label v-for="choice in choices" :key="choice.value" :class="{ on: choice.value === chosen }">
        <input v-model="chosen" type="radio" :name="name" :value="choice.value" />
        <span>{{ choice.label }}</span>
      </label>
    </div>
    <p v-if="choices.find((choice) => choice.value === chosen)?.hint" class="quiet small">
      {{ choices.find((choice) => choice.value === chosen)?.hint }}
    </p>
    <p v-if="error" class="error" role="alert">{{ error }}</p>
  </fieldset>
</template>

<style scoped>
legend {
  padding: 0;
  margin-bottom: 4px;
  font-weight: 600;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

label {
  display: inline-flex;
  align-items: center;
  min-height: 40px;
  padding: 4px 14px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--surface);
  cursor: pointer;
}

label.on {
  border-color: var(--herb);
  background: var(--herb-soft);
  box-shadow: inset 0 0 0 1px var(--herb);
  font-weight: 620;
}

label:focus-within {
  outline: 3px solid var(--herb);
  outline-offset: 2px;
}

input {
  position: absolute;
  opacity: 0;
  width: 1px;
}

.error {
  color: var(--brick);
  font-weight: 600;
}

@media (width <= 640px) {
  label {
    min-height: var(--touch);
  }
}
</style>
