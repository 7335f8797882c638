<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useTank } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import DayField from '@/shared/components/DayField.vue'
import TextField from '@/shared/components/TextField.vue'
import { shortDay, today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { useEndMedication, useMedicate, useMedications } from './queries'

/** Medications of a tank; while one lasts, its bacteria are left alone. */
const props = defineProps<{ tank: number }>()

const tank = useTank(() => props.tank)
const medications = useMedications(() => props.tank)
const medicate = useMedicate(() => props.tank)
const end = useEndMedication(() => props.tank)
const { sending, errors, trouble, asks, send } = useSending()

const form = reactive({ product: '', firstDay: today(), lastDay: '' })
const listed = computed(() => (medications.data.value ?? []).toReversed())

async function begin(confirmed = false) {
  const saved = await send(() =>
    medicate.mutateAsync({ ...form, lastDay: form.lastDay === '' ? undefined : form.lastDay, confirmed }),
  )
  if (saved) Object.assign(form, { product: '', firstDay: today(), lastDay: '' })
}
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="tank.isPending.value || medications.isPending.value"
      :error="tank.error.value ?? medications.error.value"
      what="the medications"
      @retry="(tank.refetch(), medications.refetch())"
    >
      <h1>Medication, {{ tank.data.value?.tank.name }}</h1>
      <p class="quiet">
        The product’s label and a vet come first. While a medication lasts, work that disturbs the bacteria is
        on hold; take carbon out if the label says so.
      </p>
      <form class="grid gap-12px justify-items-start mt-3 mb-24px" novalidate @submit.prevent="begin()">
        <TextField v-model="form.product" label="Product" name="product" :error="errors.product" />
        <DayField v-model="form.firstDay" label="First day" name="firstDay" :error="errors.firstDay" />
        <DayField
          v-model="form.lastDay"
          label="Last day"
          name="lastDay"
          hint="Leave blank if you don’t know yet."
          :error="errors.lastDay"
        />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <p class="flex flex-wrap gap-2 items-center min-h-touch">
          <el-button type="primary" native-type="submit" :disabled="sending">Begin</el-button>
          <el-button v-if="asks" :disabled="sending" @click="begin(true)"
            >It is safe for them, begin</el-button
          >
        </p>
      </form>
      <h2>So far</h2>
      <p v-if="listed.length === 0" class="quiet">None.</p>
      <ul>
        <li
          v-for="one in listed"
          :key="one.id"
          class="flex flex-wrap gap-2 items-center min-h-touch edge-b-hair"
        >
          <b>{{ one.product }}</b> from {{ shortDay(one.firstDay) }}
          <template v-if="one.lastDay">to {{ shortDay(one.lastDay) }}</template>
          <el-button v-else @click="send(() => end.mutateAsync({ id: one.id, lastDay: today() }))">
            It is over today
          </el-button>
        </li>
      </ul>
      <RouterLink :to="{ name: 'tank-water', params: { tank: props.tank } }">To the water</RouterLink>
    </AsyncState>
  </main>
</template>
