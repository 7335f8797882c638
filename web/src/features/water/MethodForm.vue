<script setup lang="ts">
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
    refuse(
      Number.isNaN(limit) ? { limit: 'This is not a number.' } : { steps: 'Each step needs whole seconds.' },
    )
    return
  }
  const method = { parameter: props.method.parameter, name: form.name, limit, steps }
  if (await send(() => save.mutateAsync(method))) emit('done')
}
</script>

<template>
  <form class="grid gap-10px py-12px" novalidate @submit.prevent="store">
    <TextField v-if="!props.method.name" v-model="form.name" label="Name" name="name" :error="errors.name" />
    <NumberField
      v-model="form.limit"
      label="Shows from"
      name="limit"
      :unit="unit"
      hint="The first step of its scale above zero."
      :error="errors.limit"
    />
    <div v-for="(step, i) in form.steps" :key="i" class="flex flex-wrap gap-10px items-end">
      <SelectField
        v-model="step.what"
        class="what w-120px"
        :label="`Step ${String(i + 1)}`"
        :name="`steps[${String(i)}].what`"
        :choices="[
          { value: 'SHAKE', label: 'Shake' },
          { value: 'WAIT', label: 'Wait' },
        ]"
      />
      <NumberField
        v-model="step.seconds"
        :label="`Seconds of step ${String(i + 1)}`"
        :name="`steps[${String(i)}].seconds`"
        unit="s"
        :error="errors[`steps[${String(i)}].seconds`]"
      />
      <el-button type="primary" text @click="form.steps.splice(i, 1)">Take out</el-button>
    </div>
    <p v-if="errors.steps ?? trouble" class="trouble" role="alert">{{ errors.steps ?? trouble }}</p>
    <div class="flex flex-wrap gap-10px items-end">
      <el-button type="primary" text @click="form.steps.push({ what: 'WAIT', seconds: '' })">
        Add a step
      </el-button>
      <el-button type="primary" native-type="submit" :disabled="sending">Save the method</el-button>
      <el-button type="primary" text @click="emit('done')">Cancel</el-button>
    </div>
  </form>
</template>
