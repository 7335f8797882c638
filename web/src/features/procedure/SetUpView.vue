<script setup lang="ts">
import { texts } from './texts'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { useBegin } from './begin'
import BenchCard from './BenchCard.vue'
import { useSetUp } from './queries'

/** At the tank, before a new filter is put together: what it takes, every step, and the start. */
const props = defineProps<{ tank: number; filter: number }>()

const tank = useTank(() => props.tank)
const procedure = useSetUp(() => props.filter)
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
        <h1>{{ texts.setUp(procedure.data.value.filterName) }}</h1>
        <p class="quiet">
          {{ texts.onceItRunsIts }}
        </p>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <div class="actions flex flex-wrap gap-10px my-4">
          <el-button type="primary" :loading="sending" @click="beginWhole(props.filter, 'SET_UP')">{{
            texts.start
          }}</el-button>
          <LinkButton
            type="primary"
            text
            :to="{ name: 'inside-filter', params: { tank: props.tank, filter: props.filter } }"
            >{{ texts.sayWhatSitsWhere }}</LinkButton
          >
        </div>
        <BenchCard :procedure="procedure.data.value" :tank="tank.data.value?.tank.name ?? ''" />
      </template>
    </AsyncState>
  </main>
</template>
