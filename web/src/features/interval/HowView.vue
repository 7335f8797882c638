<script setup lang="ts">
import { computed } from 'vue'
import FindingTile from '@/shared/components/FindingTile.vue'
import AsyncState from '@/shared/components/AsyncState.vue'
import { FINDINGS } from '@/shared/words'
import { useEngineFacts } from './queries'

/** At the table: how dates are learned, in a keeper's words. Every figure comes from the engine itself. */
const facts = useEngineFacts()
const known = computed(() => facts.data.value)
const canister = computed(() => known.value?.starts.at(-1))
const change = (percent: number) =>
  percent > 0 ? `about ${String(percent)} % more dirt` : `about ${String(-percent)} % less dirt behind it`
</script>

<template>
  <main class="page narrow">
    <h1>How dates are learned</h1>
    <AsyncState
      :pending="facts.isPending.value"
      :error="facts.error.value"
      what="the figures"
      @retry="facts.refetch()"
    >
      <template v-if="known && canister">
        <section class="mt-18px leading-1.5">
          <h2>What Chervil believes</h2>
          <p>
            Of each stage it believes how many days of usual dirt would overload it, and how sure it is of
            that. Before anyone has looked it goes by the usual interval, at which such a stage is about
            {{ known.limits.usualLoadingPercent }} % full, and asks a little sooner, because tanks differ.
          </p>
          <el-table :data="known.starts" row-key="task" aria-label="First dates">
            <el-table-column label="Task, normal tank" prop="task" min-width="120" />
            <el-table-column label="usual" align="right" width="76">
              <template #default="{ row }"
                ><span class="num">{{ row.usualDays }} d</span></template
              >
            </el-table-column>
            <el-table-column label="first date after" align="right" width="128">
              <template #default="{ row }"
                ><span class="num">{{ row.firstDays }} d</span></template
              >
            </el-table-column>
          </el-table>
        </section>
        <section class="mt-18px leading-1.5">
          <h2>How a finding moves it</h2>
          <p>
            A canister on a normal tank is first asked for after {{ canister.firstDays }} days. Opened after
            {{ known.exampleDays }}, the next date depends on what was found:
          </p>
          <ul class="grades flex flex-wrap gap-y-2 gap-x-26px list-none">
            <li v-for="(grade, i) in FINDINGS" :key="grade.value" class="flex gap-2 items-center">
              <FindingTile :finding="grade.value" :size="26" />
              <span>{{ grade.label }}</span>
              <b class="num">{{ known.afterGrade[i] }} days</b>
            </li>
          </ul>
          <p>
            The first finding counts for about {{ known.weights[0] }} %, the second for
            {{ known.weights[1] }} %, the fifth for {{ known.weights[4] }} %: one odd finding among many moves
            little. A stage opened after only {{ known.limits.earlyCleanDays }} days and found clean says
            nothing; the date stays at {{ known.limits.earlyCleanInterval }} days.
          </p>
          <p>
            Measured flow counts beside the grade. Found moderate after {{ known.exampleDays }} days, the next
            date is
            <template v-for="(flow, i) in known.afterFlow" :key="flow.percent"
              >{{ i ? (i === known.afterFlow.length - 1 ? ' and ' : ', ') : '' }}{{ flow.days }} days at
              {{ flow.percent }} % of clean flow</template
            >. Flow falls late: nearly full flow does not prove that a stage is clean.
          </p>
        </section>
        <section class="mt-18px leading-1.5">
          <h2>What changes around it</h2>
          <ul>
            <li v-for="one in known.changes" :key="one.words">{{ one.words }}: {{ change(one.percent) }}.</li>
          </ul>
          <p>After such a change it is less sure, so that the next finding counts for more.</p>
        </section>
        <section class="mt-18px leading-1.5">
          <h2>Its limits</h2>
          <ul>
            <li>
              A date never lies more than {{ known.limits.growth }} times the longest run so far ahead; less
              dirt after a logged change may double that. Getting shorter has no such limit.
            </li>
            <li>
              The window opens at {{ known.limits.earliestPercent }} % of the best day. It closes between
              {{ known.limits.latestFromPercent }} and {{ known.limits.latestToPercent }} % of it, where about
              one in five would already be letting water past.
            </li>
            <li>Each task has a least and a most number of days; “Adjust” on its page names them.</li>
            <li>
              Lamps go by lit hours, carbon by the tint, resin by its colour, rolls by metres, pads by rinses;
              seals, impellers and foams by age until a look finds them worn.
            </li>
          </ul>
        </section>
        <section class="mt-18px leading-1.5">
          <h2>Its known weakness</h2>
          <p>
            Somebody who always grades harshly makes every interval too short, and somebody lenient too long:
            from grades alone, a strict eye and a dirty tank look the same. So the tiles say what each grade
            looks like on each stage, and {{ FINDINGS.at(-1)?.label }} has a test: water passes over or
            around. Measured flow helps as well.
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
