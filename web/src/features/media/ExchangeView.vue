<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useRights } from '@/features/account'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { datedDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { inOurUnits, mass } from '@/shared/units'
import NewExchange from './NewExchange.vue'
import PortionList from './PortionList.vue'
import { useExchanges, useStopExchange } from './queries'

/** At the table: bio media exchanged a portion at a time, as it goes or before it begins. */
const props = defineProps<{ tank: number }>()

const tank = useTank(() => props.tank)
const exchanges = useExchanges(() => props.tank)
const stop = useStopExchange()
const { mayKeep, mayWork } = useRights()
const { trouble, send } = useSending()
const stopping = ref(false)
const running = computed(() => exchanges.data.value?.find((one) => !one.endedOn))
const past = computed(() => (exchanges.data.value ?? []).filter((one) => one.endedOn))

async function end() {
  if (running.value) await send(() => stop.mutateAsync(running.value?.id ?? ''))
  stopping.value = false
}
</script>

<template>
  <main class="page">
    <AsyncState
      :pending="tank.isPending.value || exchanges.isPending.value"
      :error="lacking(tank, exchanges)"
      :what="texts.theExchange"
      @retry="(tank.refetch(), exchanges.refetch())"
    >
      <header class="titled">
        <h1>{{ texts.exchangeOfMedia(tank.data.value?.tank.name ?? '') }}</h1>
      </header>
      <section v-if="running" :aria-label="texts.exchangeOf(running.stage)">
        <p>
          <b>{{ texts.of(mass(running.grams), running.stage) }}</b>{{
            texts.ofPortionsDoneThe(running.done, running.portions.length)
          }}
        </p>
        <PortionList :portions="running.portions" :done="running.done" />
        <div class="flex gap-2 my-3">
          <LinkButton
            v-if="mayWork"
            type="primary"
            :to="{ name: 'water-media', params: { tank: props.tank } }"
            >{{ texts.logAPortion }}</LinkButton
          >
          <el-button v-if="mayKeep" type="primary" text @click="stopping = true">{{
            texts.stopItHere
          }}</el-button>
        </div>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      </section>
      <NewExchange v-else-if="mayKeep" :tank="props.tank" />
      <p v-else class="quiet">{{ texts.noExchangeIsUnder }}</p>
      <section v-if="past.length" aria-labelledby="past">
        <h2 id="past">{{ texts.before }}</h2>
        <ul>
          <li v-for="one in past" :key="one.id" class="py-6px">
            {{
              texts.ofEndedAfterOf(
                mass(one.grams),
                one.stage,
                datedDay(one.endedOn ?? ''),
                one.done,
                one.portions.length,
              )
            }}
            <template v-if="one.verdict">{{ inOurUnits(one.verdict) }}</template>
            <template v-else>{{ texts.fromOnEightWeeks(datedDay(one.verdictOn ?? '')) }}</template>
          </li>
        </ul>
      </section>
      <LinkButton type="primary" text :to="{ name: 'tank-water', params: { tank: props.tank } }">{{
        texts.toTheWater
      }}</LinkButton>
      <el-dialog
        v-model="stopping"
        :title="texts.stopTheExchangeHere"
        width="min(420px, 92vw)"
        append-to-body
      >
        <p>{{ texts.whatWasExchangedStays }}</p>
        <template #footer>
          <el-button type="primary" text @click="stopping = false">{{ texts.goOnWithIt }}</el-button>
          <el-button type="primary" @click="end">{{ texts.stopIt }}</el-button>
        </template>
      </el-dialog>
    </AsyncState>
  </main>
</template>
