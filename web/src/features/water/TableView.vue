<script setup lang="ts">
import { ref } from 'vue'
import { useRights } from '@/features/account'
import { useTank } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import FileChoice from '@/shared/components/FileChoice.vue'
import { useSending } from '@/shared/form'
import { previewImport, useImport, type Preview } from './queries'

/** At the table: readings out as an open table, and in with a look before anything is stored. */
const props = defineProps<{ tank: number }>()

const tank = useTank(() => props.tank)
const { mayKeep } = useRights()
const bringIn = useImport(() => props.tank)
const { sending, trouble, errors, send } = useSending()

const csv = ref('')
const preview = ref<Preview>()
const stored = ref<Preview>()

async function read(file: File) {
  stored.value = undefined
  preview.value = undefined
  csv.value = await file.text()
  preview.value = await send(() => previewImport(props.tank, csv.value))
}

async function confirm() {
  stored.value = await send(() => bringIn.mutateAsync(csv.value))
  if (stored.value) preview.value = undefined
}
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="tank.isPending.value"
      :error="tank.error.value"
      what="the tank"
      @retry="tank.refetch()"
    >
      <h1>Readings in and out, {{ tank.data.value?.tank.name }}</h1>
      <h2 class="mt-18px">Out</h2>
      <p>
        One row a time, one column a parameter with its unit.
        <a :href="`/api/tanks/${String(props.tank)}/readings.csv`" download>Download readings.csv</a>
      </p>
      <template v-if="mayKeep">
        <h2 class="mt-18px">In</h2>
        <p class="quiet">
          The same kind of table: a column “Time” such as 2026-05-31T18:30, and columns headed like those
          above. “&lt;0.2” means below detection. Nothing is stored until you confirm.
        </p>
        <FileChoice accept=".csv,text/csv" @chosen="read">Choose a table</FileChoice>
        <p v-if="errors.csv ?? trouble" class="trouble" role="alert">{{ errors.csv ?? trouble }}</p>
        <section v-if="preview" aria-labelledby="preview" role="status">
          <h2 id="preview" class="mt-18px">Before it is stored</h2>
          <p>
            {{ preview.readings }} readings in {{ preview.columns.join(', ') || 'no column' }};
            {{ preview.known }} are here already and stay as they are.
          </p>
          <template v-if="preview.problems.length">
            <p class="trouble">
              Fix these rows in your table and choose it again. Nothing has been imported.
            </p>
            <ul>
              <li v-for="(one, i) in preview.problems" :key="i" class="py-1 edge-b-hair">
                <b>Row {{ one.line }}</b
                ><template v-if="one.column">, {{ one.column }}</template
                >: {{ one.message }}
              </li>
            </ul>
          </template>
          <el-button
            v-else
            type="primary"
            :disabled="sending || preview.readings === preview.known"
            @click="confirm"
          >
            Bring in {{ preview.readings - preview.known }} readings
          </el-button>
        </section>
        <p v-if="stored" role="status">
          <b>Brought in {{ stored.readings - stored.known }} readings.</b>
        </p>
      </template>
      <RouterLink :to="{ name: 'tank-water', params: { tank: props.tank } }">To the water</RouterLink>
    </AsyncState>
  </main>
</template>
