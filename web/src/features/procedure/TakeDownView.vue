<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useRights } from '@/features/account'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import { useBegin } from './begin'
import BenchCard from './BenchCard.vue'
import { useTakeDown } from './queries'

/** At the tank, before a filter is taken down: to move it with what lives in it, or to put it away. */
const props = defineProps<{ tank: number; filter: number }>()

const { mayKeep } = useRights()
const tank = useTank(() => props.tank)
const why = ref<'MOVE' | 'STORE'>('MOVE')
const procedure = useTakeDown(() => props.filter, why)
const { sending, trouble, beginWhole } = useBegin()

const choices = computed(() => [
  { value: 'MOVE' as const, label: texts.moveIt },
  ...(mayKeep.value ? [{ value: 'STORE' as const, label: texts.putItAway }] : []),
])
const AFTER = {
  MOVE: texts.itStaysOffUntil,
  STORE: texts.itIsOutOf,
}
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
        <h1>{{ texts.takeDown(procedure.data.value.filterName) }}</h1>
        <ChoiceRow v-model="why" class="mt-3" :legend="texts.whatFor" name="why" :choices="choices" />
        <p class="quiet">{{ AFTER[why] }}</p>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <p class="actions my-4">
          <el-button type="primary" :loading="sending" @click="beginWhole(props.filter, why)">{{
            texts.start
          }}</el-button>
        </p>
        <BenchCard :procedure="procedure.data.value" :tank="tank.data.value?.tank.name ?? ''" />
      </template>
    </AsyncState>
  </main>
</template>
