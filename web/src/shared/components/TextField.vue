<script setup lang="ts">
import { useId } from 'vue'

/** A labelled input with its unit, hint and error in their places. */
const props = withDefaults(
  defineProps<{
    label: string
    /** Path of the field in the request; errors find it by this. */
    name: string
    type?: 'text' | 'number' | 'date' | 'datetime-local' | 'password' | 'textarea'
    unit?: string
    hint?: string
    error?: string
    max?: string
    autocomplete?: string
    suggestions?: string[]
  }>(),
  { type: 'text', autocomplete: 'off' },
)
const value = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div class="field" :class="props.type" :data-field="name">
    <label :for="id">{{ label }}</label>
    <div class="input">
      <el-input
        :id="id"
        v-model="value"
        :type="type === 'number' ? 'text' : type"
        :inputmode="type === 'number' ? 'decimal' : undefined"
        :max="max"
        :rows="3"
        :autocomplete="autocomplete"
        :list="suggestions ? `${id}-list` : undefined"
        :aria-invalid="error ? 'true' : undefined"
        :aria-describedby="error || hint ? `${id}-note` : undefined"
        :class="{ wrong: error }"
      />
      <span v-if="unit" class="unit quiet">{{ unit }}</span>
    </div>
    <datalist v-if="suggestions" :id="`${id}-list`">
      <option v-for="one in suggestions" :key="one" :value="one" />
    </datalist>
    <p v-if="error" :id="`${id}-note`" class="error" role="alert">{{ error }}</p>
    <p v-else-if="hint" :id="`${id}-note`" class="quiet small">{{ hint }}</p>
  </div>
</template>

<style scoped>
label {
  display: block;
  margin-bottom: 4px;
  font-weight: 600;
}

.input {
  display: flex;
  align-items: center;
  gap: 8px;
}

.input :deep(input),
.input :deep(textarea) {
  font-family: var(--text);
}

.number .input :deep(input) {
  text-align: right;
  font-family: var(--mono);
}

.unit {
  flex: none;
}

.error {
  color: var(--brick);
  font-weight: 600;
}

.wrong :deep(.el-input__wrapper),
.wrong :deep(.el-textarea__inner) {
  box-shadow: inset 0 0 0 2px var(--brick);
}

@media (width <= 640px) {
  .input :deep(.el-input__wrapper) {
    min-height: var(--touch);
  }
}
</style>
