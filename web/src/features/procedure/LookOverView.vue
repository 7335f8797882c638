<script setup lang="ts">
import { texts } from './texts'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { useBegin } from './begin'
import BenchCard from './BenchCard.vue'
import { useLookOver } from './queries'

/** At the tank, before a filter is looked over that nobody looked after. */
const props = defineProps<{ tank: number; filter: number }>()

const tank = useTank(() => props.tank)
const procedure = useLookOver(() => props.filter)
const { sending, trouble, beginWhole } = useBegin()
</script>

<template>
  <main class="page">
    <AsyncState
      :pending="procedure.isPending.value || tank.isPending.value"
      :error="lacking(procedure, tank)"
      :what="texts.theSteps"
      @retry="(procedure.refetch(), tank.refetch())"
    >
      <template v-if="procedure.data.value">
        <h1>{{ texts.lookOver(procedure.data.value.filterName) }}</h1>
        <p class="quiet">
          {{ texts.dangersFirstThenThe }}
        </p>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <p class="begin my-4">
          <el-button type="primary" :loading="sending" @click="beginWhole(props.filter, 'LOOK_OVER')">{{
            texts.start
          }}</el-button>
        </p>
        <BenchCard :procedure="procedure.data.value" :tank="tank.data.value?.tank.name ?? ''" />
      </template>
    </AsyncState>
  </main>
</template>
