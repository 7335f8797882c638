<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { fromFilter, toInput, useUpdateFilter } from '@/features/filter'
import SelectField from '@/shared/components/SelectField.vue'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { tell } from './measures'
import type { Known } from './prefill'
import type { Answer } from './queries'

/** What a place holds becomes the mass of the media that lies there. */
const props = defineProps<{ known: Known; answer: Answer }>()

const update = useUpdateFilter()
const { sending, trouble, send } = useSending()
const stage = ref<number>()
const stages = computed(() =>
  (props.known.filter?.stages ?? [])
    .filter((one) => one.kind === 'BIO_MEDIA' || one.massG !== undefined)
    .map((one) => ({ value: one.id, label: one.label || one.name })),
)
const grams = computed(() => Math.round(Number(props.answer.values.kg) * 1000))

function save(massG: number | undefined) {
  const { filter } = props.known
  if (!filter) return Promise.resolve(undefined)
  const form = fromFilter(filter)
  const one = form.stages.find((each) => each.id === stage.value)
  if (one) one.massG = massG === undefined ? '' : String(massG)
  return update.mutateAsync({ id: filter.id, version: filter.version, filter: toInput(form).input })
}

async function put() {
  const before = props.known.filter?.stages.find((one) => one.id === stage.value)?.massG
  if (await send(() => save(grams.value))) offerUndo(texts.keptAsItsMass, () => save(before))
}
</script>

<template>
  <div v-if="stages.length" class="grid gap-10px justify-items-start">
    <SelectField
      v-model="stage"
      class="grid gap-10px justify-items-start"
      :label="texts.keepAsTheMass(tell('KILOGRAMS', grams / 1000))"
      name="stage"
      :choices="stages"
    />
    <el-button type="primary" :disabled="!stage" :loading="sending" @click="put">{{
      texts.keepIt
    }}</el-button>
    <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
  </div>
</template>
