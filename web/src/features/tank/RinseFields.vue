<script setup lang="ts">
import TextField from '@/shared/components/TextField.vue'
import type { TankForm } from './form'

/** What a keeper draws rinse water with, and how much the tank can give. */
defineProps<{ errors: Record<string, string> }>()
const form = defineModel<TankForm>({ required: true })
</script>

<template>
  <div class="pair">
    <TextField
      v-model="form.bucketL"
      label="Your bucket"
      name="setting.bucketL"
      type="number"
      unit="L"
      hint="Two thirds of it are used. Leave blank for 8 L"
      :error="errors['setting.bucketL']"
    />
    <TextField
      v-model="form.drawPercent"
      label="Most to draw for rinsing"
      name="setting.drawShare"
      type="number"
      unit="% of the tank"
      hint="Leave blank for 25 %"
      :error="errors['setting.drawShare']"
    />
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: var(--gap-3) var(--gap-4);
}
</style>
