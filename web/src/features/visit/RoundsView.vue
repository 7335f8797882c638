<script setup lang="ts">
import { texts } from './texts'
import { computed, defineAsyncComponent } from 'vue'
import { lowerFirst } from '@/shared/words'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { longDay, shortDay, today } from '@/shared/dates'
import { HoldNotice } from '@/features/water'
import AskedQuestions from './AskedQuestions.vue'
import LookAgain from './LookAgain.vue'
import { useRounds } from './queries'
import RoundsTray from './RoundsTray.vue'
import VisitCard from './VisitCard.vue'
import WeekAhead from './WeekAhead.vue'

/** At the tank: what to do today, tank by tank, and what to carry. */
const rounds = useRounds()

/** It brings the finder's whole network along, which the first page can do without. */
const SiteTrouble = defineAsyncComponent(async () => (await import('@/features/trouble')).SiteTrouble)

const visits = computed(() => rounds.data.value?.visits ?? [])
const held = computed(() => rounds.data.value?.held ?? [])
const looks = computed(() => rounds.data.value?.looks ?? [])
const readings = computed(() => rounds.data.value?.readings ?? [])
const rooms = computed(() => {
  const first = [...planned.value, ...visits.value.filter((visit) => !planned.value.includes(visit))]
  const grouped = new Map<string, typeof visits.value>()
  for (const visit of first) grouped.set(visit.tank.room, [...(grouped.get(visit.tank.room) ?? []), visit])
  return grouped
})
const planned = computed(() =>
  visits.value.filter((visit) => !visit.plannedOn || visit.plannedOn === rounds.data.value?.today),
)
const minutes = computed(() => planned.value.reduce((sum, visit) => sum + visit.effort.minutes, 0))
/** Nothing to do, to read or to look at. */
const idle = computed(
  () => visits.value.length === 0 && readings.value.length === 0 && looks.value.length === 0,
)
const next = computed(() => rounds.data.value?.week.find((day) => day.tanks > 0))
const summary = computed(() => {
  const count = planned.value.length
  if (visits.value.length > 0 && count === 0) return texts.nothingIsPlannedToday
  if (count === 0) return ''
  const COUNTS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine']
  return texts.tankAboutMinutes(COUNTS[count] ?? String(count), count === 1 ? '' : 's', minutes.value)
})
</script>

<template>
  <main class="grid cols-[1_auto] min-h-screen max-half:cols-1fr max-half:min-h-0">
    <div class="main pt-4 pb-40px pr-30px pl-32px max-w-1000px max-half:p-16px">
      <h1>{{ longDay(rounds.data.value?.today ?? today()) }}</h1>
      <AsyncState
        :pending="rounds.isPending.value"
        :error="lacking(rounds)"
        :what="texts.todaysRounds"
        @retry="rounds.refetch()"
      >
        <div v-if="rounds.data.value?.tanks === 0" class="grid gap-10px justify-items-start max-w-520px py-4">
          <p>
            {{ texts.nothingToDoYet }}
          </p>
          <LinkButton type="primary" :to="{ name: 'new-tank' }">{{ texts.addTheFirstTank }}</LinkButton>
        </div>
        <div v-else-if="idle" class="grid gap-10px justify-items-start max-w-520px py-4">
          <p>
            <strong>{{ texts.allDoneForToday }}</strong>
          </p>
          <p class="quiet">
            {{ next ? texts.nextAboutMinutes(longDay(next.on), next.minutes) : texts.nothingInTheNext }}
          </p>
        </div>
        <p v-else class="quiet">{{ summary }}</p>
        <AskedQuestions
          v-for="one in rounds.data.value?.questions ?? []"
          :key="one.question.filterId"
          :service="one.serviceId"
          :questions="[one.question]"
        />
        <LookAgain v-if="looks.length" :looks="looks" />
        <SiteTrouble />
        <section v-if="readings.length" aria-labelledby="due-readings">
          <h2 id="due-readings" class="mt-18px">{{ texts.readingsDue }}</h2>
          <p
            v-for="one in readings"
            :key="one.tank.id"
            class="reading flex gap-12px items-center justify-between min-h-52px edge-b-hair"
          >
            <span>
              <b>{{ one.tank.name }}</b>{{
                texts.until(
                  one.readings.map((reading) => reading.label.toLowerCase()).join(', '),
                  shortDay(one.readings[0]?.until ?? ''),
                )
              }}
              <span class="small quiet">{{ one.readings[0]?.why }}.</span>
            </span>
            <LinkButton :to="{ name: 'new-readings', params: { tank: one.tank.id } }"
              >{{ texts.read }}<span class="seen-by-readers"> {{ one.tank.name }}</span></LinkButton
            >
          </p>
        </section>
        <section v-for="[room, inRoom] in rooms" :key="room" :aria-label="room || texts.noRoom">
          <p class="small quiet mt-15px">{{ room || texts.noRoom }}</p>
          <VisitCard
            v-for="visit in inRoom"
            :key="visit.tank.id"
            :visit="visit"
            :today="rounds.data.value?.today ?? today()"
          />
        </section>
        <section v-if="held.length" aria-labelledby="held">
          <h2 id="held" class="mt-18px">{{ texts.leaveAloneForNow }}</h2>
          <div v-for="one in held" :key="one.tank.id" class="grid gap-6px mt-10px mb-3">
            <h3>
              <RouterLink :to="{ name: 'tank', params: { tank: one.tank.id } }">{{
                one.tank.name
              }}</RouterLink>
              <span v-if="one.work.length" class="quiet">: {{ one.work.map(lowerFirst).join(', ') }}</span>
            </h3>
            <HoldNotice v-for="hold in one.holds" :key="hold.cause" :hold="hold" />
          </div>
        </section>
        <WeekAhead v-if="rounds.data.value?.tanks" :week="rounds.data.value.week" />
      </AsyncState>
    </div>
    <RoundsTray v-if="visits.length" :visits="visits" />
  </main>
</template>
