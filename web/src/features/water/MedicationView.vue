<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive } from 'vue'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
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
      :error="lacking(tank, medications)"
      :what="texts.theMedications"
      @retry="(tank.refetch(), medications.refetch())"
    >
      <h1>{{ texts.medication(tank.data.value?.tank.name ?? '') }}</h1>
      <p class="quiet">
        {{ texts.theProductsLabelAnd }}
      </p>
      <form class="grid gap-12px justify-items-start mt-3 mb-24px" novalidate @submit.prevent="begin()">
        <TextField v-model="form.product" :label="texts.product" name="product" :error="errors.product" />
        <DayField v-model="form.firstDay" :label="texts.firstDay" name="firstDay" :error="errors.firstDay" />
        <DayField
          v-model="form.lastDay"
          :label="texts.lastDay"
          name="lastDay"
          :hint="texts.leaveBlankIfYou"
          :error="errors.lastDay"
        />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <p class="flex flex-wrap gap-2 items-center min-h-touch">
          <el-button type="primary" native-type="submit" :disabled="sending">{{ texts.begin }}</el-button>
          <el-button v-if="asks" :disabled="sending" @click="begin(true)">{{ texts.itIsSafeFor }}</el-button>
        </p>
      </form>
      <h2>{{ texts.soFar }}</h2>
      <p v-if="listed.length === 0" class="quiet">{{ texts.none }}</p>
      <ul>
        <li
          v-for="one in listed"
          :key="one.id"
          class="flex flex-wrap gap-2 items-center min-h-touch edge-b-hair"
        >
          <b>{{ one.product }}</b> {{ texts.from(shortDay(one.firstDay)) }}
          <template v-if="one.lastDay">{{ texts.to(shortDay(one.lastDay)) }}</template>
          <el-button v-else @click="send(() => end.mutateAsync({ id: one.id, lastDay: today() }))">
            {{ texts.itIsOverToday }}
          </el-button>
        </li>
      </ul>
      <RouterLink :to="{ name: 'tank-water', params: { tank: props.tank } }">{{
        texts.toTheWater
      }}</RouterLink>
    </AsyncState>
  </main>
</template>
