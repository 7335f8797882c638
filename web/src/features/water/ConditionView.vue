<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import TextField from '@/shared/components/TextField.vue'
import type { Schemas } from '@/shared/api/client'
import { useSending } from '@/shared/form'
import { useCheckCondition, useParameters, useQuestions } from './queries'
import { newId } from '@/shared/ids'

/** At the tank: a look at animals and water, one tap a question. */
const props = defineProps<{ tank: number }>()

type Code = Schemas['Question']['code']

const tank = useTank(() => props.tank)
const questions = useQuestions()
const parameters = useParameters()
const check = useCheckCondition(() => props.tank)
const { sending, trouble, errors, send } = useSending()

const id = newId()
const answers = ref<Partial<Record<Code, boolean>>>({})
const note = ref('')
const advice = ref<Schemas['AdviceView']>()

const open = computed(() =>
  (questions.data.value ?? []).filter((one) => answers.value[one.code] === undefined),
)
const label = (code: string) => parameters.data.value?.find((one) => one.code === code)?.label ?? code

async function save() {
  const amiss = (questions.data.value ?? [])
    .filter((one) => answers.value[one.code] === false)
    .map((one) => one.code)
  advice.value = await send(() => check.mutateAsync({ id, check: { amiss, note: note.value } }))
}
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="tank.isPending.value || questions.isPending.value"
      :error="lacking(tank, questions)"
      :what="texts.theQuestions"
      @retry="(tank.refetch(), questions.refetch())"
    >
      <h1>{{ texts.condition(tank.data.value?.tank.name ?? '') }}</h1>
      <section v-if="advice" class="grid gap-2 mt-12px" role="status">
        <p v-if="advice.steps.length === 0">
          <b>{{ texts.allWell }}</b> {{ texts.theRoutineWorksNothing }}
        </p>
        <template v-else>
          <h2>{{ texts.whatComesFirst }}</h2>
          <ol class="pl-4 list-decimal">
            <li v-for="step in advice.steps" :key="step">{{ step }}</li>
          </ol>
          <p v-if="advice.readings.length">
            {{ texts.read }} <b>{{ advice.readings.map(label).join(', ') }}</b>
          </p>
          <LinkButton type="primary" :to="{ name: 'new-readings', params: { tank: props.tank } }">{{
            texts.takeReadings
          }}</LinkButton>
        </template>
        <RouterLink class="back" :to="{ name: 'tank-water', params: { tank: props.tank } }">{{
          texts.toTheWater
        }}</RouterLink>
      </section>
      <form v-else class="grid gap-2 mt-12px" @submit.prevent="save">
        <ChoiceRow
          v-for="one in questions.data.value"
          :key="one.code"
          class="question flex flex-wrap gap-y-1 gap-x-16px justify-between items-center pb-6px edge-b-hair"
          :model-value="answers[one.code] === undefined ? '' : answers[one.code] ? 'YES' : 'NO'"
          :legend="one.question"
          :name="one.code"
          :choices="[
            { value: 'YES', label: texts.yes },
            { value: 'NO', label: texts.no },
          ]"
          @update:model-value="(answer) => (answers[one.code] = answer === 'YES')"
        />
        <TextField v-model="note" :label="texts.note" name="note" type="textarea" :error="errors.note" />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <el-button type="primary" class="big" native-type="submit" :disabled="sending || open.length > 0">
          {{ open.length ? texts.toAnswer(open.length) : texts.logTheCheck }}
        </el-button>
      </form>
    </AsyncState>
  </main>
</template>

<style scoped>
.big,
section .el-button {
  justify-self: start;
  min-height: 56px;
}
</style>
