<script setup lang="ts">
import { texts } from './texts'
import { watch } from 'vue'
import { useRouter } from 'vue-router'
import { useTanks } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { useLastTank } from './last'

/** The place Water: goes to the tank looked at last, or the first. */
const router = useRouter()
const tanks = useTanks()
const last = useLastTank()

watch(
  tanks.data,
  (all) => {
    const tank = all?.find((one) => one.id === last.value) ?? all?.[0]
    if (tank) void router.replace({ name: 'tank-water', params: { tank: tank.id } })
  },
  { immediate: true },
)
</script>

<template>
  <main class="page">
    <h1>{{ texts.water }}</h1>
    <AsyncState
      :pending="tanks.isPending.value"
      :error="lacking(tanks)"
      :what="texts.theTanks"
      @retry="tanks.refetch()"
    >
      <p v-if="tanks.data.value?.length === 0">
        {{ texts.readingsBelongToA }}
        <RouterLink :to="{ name: 'new-tank' }">{{ texts.addTheFirstTank }}</RouterLink>
      </p>
    </AsyncState>
  </main>
</template>
