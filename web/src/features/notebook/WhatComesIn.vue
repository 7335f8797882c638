<script setup lang="ts">
import { datedDay as dated } from '@/shared/dates'
import type { Preview } from './queries'

/** What the table would bring in, and what stays out and why. */
const props = defineProps<{ preview: Preview; stoodSince?: string }>()
const emit = defineEmits<{ older: [since: string] }>()

const SHOWN = 8
const words = (found: string | undefined) => (found ? `, ${found.toLowerCase()}` : '')
const counted = (times: number) => (times === 1 ? 'once' : `${String(times)} times`)
const more = (all: number) => all - Math.min(SHOWN, props.preview.faults.length)
</script>

<template>
  <section aria-labelledby="coming" role="status">
    <h2 id="coming">What would come in</h2>
    <p v-if="preview.days && preview.first && preview.last">
      <b>{{ preview.days }} {{ preview.days === 1 ? 'day' : 'days' }}</b> from {{ dated(preview.first) }} to
      {{ dated(preview.last)
      }}<template v-if="preview.known">; {{ preview.known }} more are in the log already</template>.
    </p>
    <p v-else-if="preview.known">Everything in this table is in the log already.</p>
    <p v-else>Nothing in this table can be told for a service yet. Say what its columns and words mean.</p>
    <p
      v-if="preview.earlier"
      class="grid gap-2 justify-items-start py-10px px-3 my-10px edge-l-5-amber bg-amber-soft"
    >
      Your notes begin on {{ dated(preview.earlier) }}, before this tank was set up by what is on record.
      <el-button @click="emit('older', preview.earlier)">It stood since then</el-button>
    </p>
    <p v-else-if="stoodSince" class="quiet small">
      The tank will be said to stand since {{ dated(stoodSince) }}.
    </p>
    <slot />
    <ul v-if="preview.tasks.length">
      <li v-for="task in preview.tasks" :key="task.taskId" class="py-1 edge-b-hair list-none">
        {{ task.name }}: <b class="num">{{ counted(task.times) }}</b><template v-if="task.graded"
          >, {{ task.graded }} with what was found</template
        >
      </li>
    </ul>
    <template v-if="preview.faults.length">
      <h3 class="mt-3">Rows that stay out</h3>
      <ul>
        <li v-for="(one, i) in preview.faults.slice(0, SHOWN)" :key="i" class="py-1 edge-b-hair list-none">
          <b>Row {{ one.line }}</b
          ><template v-if="one.column">, {{ one.column }}</template
          >: {{ one.message }}
        </li>
      </ul>
      <p v-if="more(preview.faultsInAll) > 0" class="quiet small">
        And {{ more(preview.faultsInAll) }} more.
      </p>
    </template>
    <template v-if="preview.doubts.length">
      <h3 class="mt-3">Cells that stay out</h3>
      <ul>
        <li v-for="(one, i) in preview.doubts.slice(0, SHOWN)" :key="i" class="py-1 edge-b-hair list-none">
          <b>Row {{ one.line }}</b
          >, {{ one.column }}: {{ one.message }}
        </li>
      </ul>
      <p v-if="preview.doubts.length > SHOWN" class="quiet small">
        And {{ preview.doubts.length - SHOWN }} more.
      </p>
    </template>
    <template v-if="preview.sample.length">
      <h3 class="mt-3">The latest of them</h3>
      <ul>
        <li
          v-for="day in preview.sample.slice().reverse().slice(0, SHOWN)"
          :key="day.day"
          class="small py-1 edge-b-hair list-none"
        >
          <b class="num">{{ dated(day.day) }}</b>
          {{ day.done.map((one) => one.name + words(one.finding)).join('; ') || 'a note' }}
          <span v-if="day.note" class="quiet">“{{ day.note }}”</span>
        </li>
      </ul>
    </template>
  </section>
</template>
