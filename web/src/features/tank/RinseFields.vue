<script setup lang="ts">
import { texts } from './texts'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { say } from '@/shared/units'
import type { TankForm } from './form'

/** What a keeper draws rinse water with, and how much the tank can give. */
defineProps<{ errors: Record<string, string> }>()
const form = defineModel<TankForm>({ required: true })

const USUAL_BUCKET_L = 8
</script>

<template>
  <div class="grid cols-[repeat(auto-fit,minmax(180px,1fr))] gap-y-3 gap-x-4">
    <MeasureField
      v-model="form.bucketL"
      :label="texts.yourBucket"
      name="setting.bucketL"
      quantity="VOLUME"
      :hint="texts.twoThirdsOfIt(say('VOLUME', USUAL_BUCKET_L))"
      :error="errors['setting.bucketL']"
    />
    <NumberField
      v-model="form.drawPercent"
      :label="texts.mostToDrawFor"
      name="setting.drawShare"
      :unit="texts.ofTheTank"
      :hint="texts.leaveBlankFor25"
      :error="errors['setting.drawShare']"
    />
  </div>
</template>
