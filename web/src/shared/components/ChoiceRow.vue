<script setup lang="ts" generic="V extends string | number">
import { computed, useId } from 'vue'

/** One of a few, all in view. */
const props = defineProps<{
  legend: string
  name: string
  choices: { value: V; label: string; hint?: string }[]
  error?: string
  /** The legend is there for screen readers only. */
  bare?: boolean
}>()
const chosen = defineModel<V>({ required: true })
const id = useId()
const hint = computed(() => props.choices.find((choice) => choice.value === chosen.value)?.hint)
</script>

<template>
  <div class="few" :data-field="name">
    <p :id="id" class="mb-1 font-600" :class="{ 'seen-by-readers': bare }">{{ legend }}</p>
    <el-radio-group v-model="chosen" :name="name" :aria-labelledby="id">
      <el-radio-button v-for="choice in choices" :key="choice.value" :value="choice.value">
        {{ choice.label }}
      </el-radio-button>
    </el-radio-group>
    <p v-if="hint" class="quiet small">{{ hint }}</p>
    <p v-if="error" class="error" role="alert">{{ error }}</p>
  </div>
</template>
