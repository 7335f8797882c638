<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import FindingTile from '@/shared/components/FindingTile.vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { FINDINGS } from '@/shared/words'
import { useEngineFacts } from './queries'

/** At the table: how dates are learned, in a keeper's words. Every figure comes from the engine itself. */
const facts = useEngineFacts()
const known = computed(() => facts.data.value)
const canister = computed(() => known.value?.starts.at(-1))
const change = (percent: number) =>
  percent > 0 ? texts.aboutMoreDirt(percent) : texts.aboutLessDirtBehind(-percent)
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.howDatesAreLearned }}</h1>
    <AsyncState
      :pending="facts.isPending.value"
      :error="lacking(facts)"
      :what="texts.theFigures"
      @retry="facts.refetch()"
    >
      <template v-if="known && canister">
        <section class="mt-18px leading-1.5">
          <h2>{{ texts.whatChervilBelieves }}</h2>
          <p>
            {{ texts.ofEachStageIt(known.limits.usualLoadingPercent) }}
          </p>
          <el-table :data="known.starts" row-key="task" :aria-label="texts.firstDates">
            <el-table-column :label="texts.taskNormalTank" prop="task" min-width="120" />
            <el-table-column :label="texts.usual" align="right" width="76">
              <template #default="{ row }"
                ><span class="num">{{ texts.daysShort(row.usualDays) }}</span></template
              >
            </el-table-column>
            <el-table-column :label="texts.firstDateAfter" align="right" width="128">
              <template #default="{ row }"
                ><span class="num">{{ texts.daysShort(row.firstDays) }}</span></template
              >
            </el-table-column>
          </el-table>
        </section>
        <section class="mt-18px leading-1.5">
          <h2>{{ texts.howAFindingMoves }}</h2>
          <p>
            {{ texts.aCanisterOnA(canister.firstDays, known.exampleDays) }}
          </p>
          <ul class="grades flex flex-wrap gap-y-2 gap-x-26px list-none">
            <li v-for="(grade, i) in FINDINGS" :key="grade.value" class="flex gap-2 items-center">
              <FindingTile :finding="grade.value" :size="26" />
              <span>{{ grade.label }}</span>
              <b class="num">{{ texts.days(known.afterGrade[i] ?? '') }}</b>
            </li>
          </ul>
          <p>
            {{
              texts.theFirstFindingCounts(
                known.weights[0] ?? '',
                known.weights[1] ?? '',
                known.weights[4] ?? '',
                known.limits.earlyCleanDays,
                known.limits.earlyCleanInterval,
              )
            }}
          </p>
          <p>
            {{ texts.measuredFlowCountsBeside(known.exampleDays) }}
            <template v-for="(flow, i) in known.afterFlow" :key="flow.percent">{{
              texts.daysAtOfClean(
                i ? (i === known.afterFlow.length - 1 ? texts.and : ', ') : '',
                flow.days,
                flow.percent,
              )
            }}</template>{{ texts.flowFallsLateNearly }}
          </p>
        </section>
        <section class="mt-18px leading-1.5">
          <h2>{{ texts.whatChangesAroundIt }}</h2>
          <ul>
            <li v-for="one in known.changes" :key="one.words">{{ one.words }}: {{ change(one.percent) }}.</li>
          </ul>
          <p>{{ texts.afterSuchAChange }}</p>
        </section>
        <section class="mt-18px leading-1.5">
          <h2>{{ texts.itsLimits }}</h2>
          <ul>
            <li>
              {{ texts.aDateNeverLies(known.limits.growth) }}
            </li>
            <li>
              {{
                texts.theWindowOpensAt(
                  known.limits.earliestPercent,
                  known.limits.latestFromPercent,
                  known.limits.latestToPercent,
                )
              }}
            </li>
            <li>{{ texts.eachTaskHasA }}</li>
            <li>
              {{ texts.lampsGoByLit }}
            </li>
          </ul>
        </section>
        <section class="mt-18px leading-1.5">
          <h2>{{ texts.itsKnownWeakness }}</h2>
          <p>
            {{ texts.somebodyWhoAlwaysGrades(FINDINGS.at(-1)?.label ?? '') }}
          </p>
        </section>
      </template>
    </AsyncState>
  </main>
</template>

<style scoped>
p {
  margin: 6px 0;
}

ul:not(.grades) {
  padding-left: 20px;
  list-style: disc;
}
</style>
