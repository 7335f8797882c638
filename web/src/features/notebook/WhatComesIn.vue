<script setup lang="ts">
import { texts } from './texts'
import { datedDay as dated } from '@/shared/dates'
import type { Preview } from './queries'

/** What the table would bring in, and what stays out and why. */
const props = defineProps<{ preview: Preview; stoodSince?: string }>()
const emit = defineEmits<{ older: [since: string] }>()

const SHOWN = 8
const words = (found: string | undefined) => (found ? `, ${found.toLowerCase()}` : '')
const counted = (times: number) => (times === 1 ? 'once' : texts.times(times))
const more = (all: number) => all - Math.min(SHOWN, props.preview.faults.length)
</script>

<template>
  <section aria-labelledby="coming" role="status">
    <h2 id="coming">{{ texts.whatWouldComeIn }}</h2>
    <p v-if="preview.days && preview.first && preview.last">
      <b>{{ preview.days }} {{ preview.days === 1 ? texts.day : texts.days }}</b>
      {{ texts.fromTo(dated(preview.first), dated(preview.last))
      }}<template v-if="preview.known">{{ texts.moreAreInThe(preview.known) }}</template
      >.
    </p>
    <p v-else-if="preview.known">{{ texts.everythingInThisTable }}</p>
    <p v-else>{{ texts.nothingInThisTable }}</p>
    <p
      v-if="preview.earlier"
      class="grid gap-2 justify-items-start py-10px px-3 my-10px edge-l-5-amber bg-amber-soft"
    >
      {{ texts.yourNotesBeginOn(dated(preview.earlier)) }}
      <el-button @click="emit('older', preview.earlier)">{{ texts.itStoodSinceThen }}</el-button>
    </p>
    <p v-else-if="stoodSince" class="quiet small">
      {{ texts.theTankWillBe(dated(stoodSince)) }}
    </p>
    <slot />
    <ul v-if="preview.tasks.length">
      <li v-for="task in preview.tasks" :key="task.taskId" class="py-1 edge-b-hair list-none">
        {{ task.name }}: <b class="num">{{ counted(task.times) }}</b><template v-if="task.graded">{{
          texts.withWhatWasFound(task.graded)
        }}</template>
      </li>
    </ul>
    <template v-if="preview.faults.length">
      <h3 class="mt-3">{{ texts.rowsThatStayOut }}</h3>
      <ul>
        <li v-for="(one, i) in preview.faults.slice(0, SHOWN)" :key="i" class="py-1 edge-b-hair list-none">
          <b>{{ texts.row(one.line) }}</b><template v-if="one.column">, {{ one.column }}</template
          >: {{ one.message }}
        </li>
      </ul>
      <p v-if="more(preview.faultsInAll) > 0" class="quiet small">
        {{ texts.andMore(more(preview.faultsInAll)) }}
      </p>
    </template>
    <template v-if="preview.doubts.length">
      <h3 class="mt-3">{{ texts.cellsThatStayOut }}</h3>
      <ul>
        <li v-for="(one, i) in preview.doubts.slice(0, SHOWN)" :key="i" class="py-1 edge-b-hair list-none">
          <b>{{ texts.row(one.line) }}</b>, {{ one.column }}: {{ one.message }}
        </li>
      </ul>
      <p v-if="preview.doubts.length > SHOWN" class="quiet small">
        {{ texts.andMore(preview.doubts.length - SHOWN) }}
      </p>
    </template>
    <template v-if="preview.sample.length">
      <h3 class="mt-3">{{ texts.theLatestOfThem }}</h3>
      <ul>
        <li
          v-for="day in preview.sample.slice().reverse().slice(0, SHOWN)"
          :key="day.day"
          class="small py-1 edge-b-hair list-none"
        >
          <b class="num">{{ dated(day.day) }}</b>
          {{ day.done.map((one) => one.name + words(one.finding)).join('; ') || texts.aNote2 }}
          <span v-if="day.note" class="quiet">“{{ day.note }}”</span>
        </li>
      </ul>
    </template>
  </section>
</template>
