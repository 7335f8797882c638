<script setup lang="ts">
import { texts } from './texts'
import { reactive } from 'vue'
import NumberField from '@/shared/components/NumberField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import { useSaveMethod, type Method } from './queries'

/** Name, limit and timed steps of one method. */
const props = defineProps<{ method: Method; unit: string }>()
const emit = defineEmits<{ done: [] }>()

const save = useSaveMethod()
const { sending, errors, trouble, send, refuse } = useSending()

const form = reactive({
  name: props.method.name,
  limit: props.method.limit ? String(props.method.limit) : '',
  steps: props.method.steps.map((step) => ({ what: step.what, seconds: String(step.seconds) })),
})

async function store() {
  const limit = typedNumber(form.limit) ?? 0
  const steps = form.steps.map((step) => ({ what: step.what, seconds: typedNumber(step.seconds) ?? 0 }))
  if (Number.isNaN(limit) || steps.some((step) => !Number.isInteger(step.seconds) || step.seconds < 1)) {
    refuse(Number.isNaN(limit) ? { limit: texts.thisIsNotA } : { steps: texts.eachStepNeedsWhole })
    return
  }
  const method = { parameter: props.method.parameter, name: form.name, limit, steps }
  if (await send(() => save.mutateAsync(method))) emit('done')
}
</script>

<template>
  <form class="grid gap-10px py-12px" novalidate @submit.prevent="store">
    <TextField
      v-if="!props.method.name"
      v-model="form.name"
      :label="texts.name"
      name="name"
      :error="errors.name"
    />
    <NumberField
      v-model="form.limit"
      :label="texts.showsFrom"
      name="limit"
      :unit="unit"
      :hint="texts.theFirstStepOf"
      :error="errors.limit"
    />
    <div v-for="(step, i) in form.steps" :key="i" class="flex flex-wrap gap-10px items-end">
      <SelectField
        v-model="step.what"
        class="what w-120px"
        :label="texts.step(i + 1)"
        :name="`steps[${String(i)}].what`"
        :choices="[
          { value: 'SHAKE', label: texts.shake },
          { value: 'WAIT', label: texts.wait },
        ]"
      />
      <NumberField
        v-model="step.seconds"
        :label="texts.secondsOfStep(i + 1)"
        :name="`steps[${String(i)}].seconds`"
        unit="s"
        :error="errors[`steps[${String(i)}].seconds`]"
      />
      <el-button type="primary" text @click="form.steps.splice(i, 1)">{{ texts.takeOut }}</el-button>
    </div>
    <p v-if="errors.steps ?? trouble" class="trouble" role="alert">{{ errors.steps ?? trouble }}</p>
    <div class="flex flex-wrap gap-10px items-end">
      <el-button type="primary" text @click="form.steps.push({ what: 'WAIT', seconds: '' })">
        {{ texts.addAStep }}
      </el-button>
      <el-button type="primary" native-type="submit" :disabled="sending">{{ texts.saveTheMethod }}</el-button>
      <el-button type="primary" text @click="emit('done')">{{ texts.cancel }}</el-button>
    </div>
  </form>
</template>
