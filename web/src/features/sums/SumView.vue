<script setup lang="ts">
import { texts } from './texts'
import { useSessionStorage } from '@vueuse/core'
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { BenchNav } from '@/features/bench'
import { useTanks } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { pageOf } from './catalogue'
import { handed } from './handoff'
import { useSums } from './queries'
import SumBench from './SumBench.vue'

/** Both postures: one sum, reached by the keeper's own question. */
const props = defineProps<{ sum: string }>()

const route = useRoute()
const sums = useSums()
const tanks = useTanks()
const page = computed(() => pageOf(props.sum))
const sum = computed(() => sums.data.value?.find((one) => one.name === props.sum))
/** The tank that was asked about last, unless the address names one. */
const tank = useSessionStorage('bench-tank', 0)
if (route.query.tank) tank.value = Number(route.query.tank)
watch(
  tanks.data,
  (all) => {
    if (all && !all.some((one) => one.id === tank.value)) tank.value = all[0]?.id ?? 0
  },
  { immediate: true },
)
</script>

<template>
  <main class="page">
    <BenchNav />
    <AsyncState
      :pending="sums.isPending.value || tanks.isPending.value"
      :error="lacking(sums, tanks)"
      :what="texts.theSum"
      @retry="sums.refetch()"
    >
      <p v-if="!page || !sum">
        {{ texts.thereIsNoSuch }} <RouterLink :to="{ name: 'bench' }">{{ texts.seeAllOfThem }}</RouterLink>.
      </p>
      <SumBench
        v-else
        :key="`${sum.name} ${tank}`"
        v-model:tank="tank"
        :page="page"
        :sum="sum"
        :tanks="tanks.data.value ?? []"
        :handed="handed(route.query, sum.fields)"
      />
    </AsyncState>
  </main>
</template>
