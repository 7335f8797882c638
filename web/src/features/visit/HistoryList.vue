<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import FindingTile from '@/shared/components/FindingTile.vue'
import { useMayGo } from '@/shared/allowed'
import { shortDay } from '@/shared/dates'
import { useServices, type Change } from './queries'
import { besides, by, told, worst } from './telling'

/** What was done on a tank and what changed on it, latest first. */
const props = defineProps<{ tank: number; changes: Change[] }>()

const services = useServices(() => props.tank)
const mayGo = useMayGo()
const notebook = computed(() => ({ name: 'notebook', params: { tank: props.tank } }))

const CHANGE: Record<Change['kind'], [string, string]> = {
  STOCKING: [texts.stockingRaised, texts.stockingLowered],
  FEEDING: [texts.feedingRaised, texts.feedingCut],
  PREFILTER: [texts.preFilterAdded, texts.preFilterTakenOff],
  PARALLEL_FILTER: [texts.filterAdded, texts.filterTakenOut],
}
const events = computed(() => {
  const done = (services.data.value?.pages.flat() ?? []).map((service) => ({
    on: service.doneOn,
    key: service.id,
    service,
    change: undefined,
  }))
  const oldest = services.hasNextPage.value ? (done.at(-1)?.on ?? '') : ''
  const changed = props.changes
    .filter((change) => change.changedOn >= oldest)
    .map((change) => ({
      on: change.changedOn,
      key: `change ${String(change.id)}`,
      service: undefined,
      change,
    }))
  return [...done, ...changed].toSorted((a, b) => b.on.localeCompare(a.on))
})
</script>

<template>
  <section class="history" aria-labelledby="happened">
    <h2 id="happened">{{ texts.whatHappened }}</h2>
    <AsyncState
      :pending="services.isPending.value"
      :error="lacking(services)"
      :what="texts.theHistory"
      @retry="services.refetch()"
    >
      <p v-if="events.length === 0" class="quiet">
        {{ texts.nothingLoggedYetWhat }}
      </p>
      <ol>
        <li v-for="{ key, on, service, change } in events" :key="key">
          <span class="quiet">{{ shortDay(on) }}</span>
          <FindingTile v-if="service && worst(service)" v-bind="worst(service)!" :size="26" />
          <span v-else />
          <span v-if="service">
            {{ told(service) }}
            <span class="small quiet block">
              {{ service.minutes ? texts.min(service.minutes) : '' }}{{ by(service)
              }}{{ service.note ? `. ${service.note}` : '' }} {{ besides(service) }}
            </span>
          </span>
          <span v-else-if="change">{{ CHANGE[change.kind][change.steps > 0 ? 0 : 1] }}</span>
          <RouterLink
            v-if="service"
            class="small max-phone:col-[3]"
            :to="{ name: 'correct', params: { tank: props.tank, service: service.id } }"
          >
            {{ texts.correct }}<span class="seen-by-readers"> {{ texts.theServiceOf(shortDay(on)) }}</span>
          </RouterLink>
        </li>
      </ol>
      <el-button
        v-if="services.hasNextPage.value"
        :disabled="services.isFetchingNextPage.value"
        @click="services.fetchNextPage()"
      >
        {{ texts.showEarlier }}
      </el-button>
      <RouterLink v-if="mayGo(notebook)" class="small inline-block py-2 px-0" :to="notebook">{{
        texts.bringInOldNotes
      }}</RouterLink>
    </AsyncState>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 62px 26px 1fr auto;
  gap: 4px 12px;
  align-items: start;
  min-height: 40px;
  padding: 6px 0;
  font-size: 15px;
  line-height: 1.35;
  border-bottom: 1px solid var(--hair);
}

.el-button {
  margin-top: 12px;
}

@media (width <= 640px) {
  li {
    grid-template-columns: 66px 26px 1fr;
  }
}
</style>
