<script setup lang="ts">
import { texts } from './texts'
import { ref } from 'vue'
import { useRights } from '@/features/account'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
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
      :error="lacking(tank)"
      :what="texts.theTank"
      @retry="tank.refetch()"
    >
      <h1>{{ texts.readingsInAndOut(tank.data.value?.tank.name ?? '') }}</h1>
      <h2 class="mt-18px">{{ texts.out }}</h2>
      <p>
        {{ texts.oneRowATime }}
        <a :href="`/api/tanks/${String(props.tank)}/readings.csv`" download>{{
          texts.downloadReadingsCsv
        }}</a>
      </p>
      <template v-if="mayKeep">
        <h2 class="mt-18px">{{ texts.in2 }}</h2>
        <p class="quiet">
          {{ texts.theSameKindOf }}
        </p>
        <FileChoice accept=".csv,text/csv" @chosen="read">{{ texts.chooseATable }}</FileChoice>
        <p v-if="errors.csv ?? trouble" class="trouble" role="alert">{{ errors.csv ?? trouble }}</p>
        <section v-if="preview" aria-labelledby="preview" role="status">
          <h2 id="preview" class="mt-18px">{{ texts.beforeItIsStored }}</h2>
          <p>
            {{
              texts.readingsInAreHere(
                preview.readings,
                preview.columns.join(', ') || texts.noColumn,
                preview.known,
              )
            }}
          </p>
          <template v-if="preview.problems.length">
            <p class="trouble">
              {{ texts.fixTheseRowsIn }}
            </p>
            <ul>
              <li v-for="(one, i) in preview.problems" :key="i" class="py-1 edge-b-hair">
                <b>{{ texts.row(one.line) }}</b><template v-if="one.column">, {{ one.column }}</template
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
            {{ texts.bringInReadings(preview.readings - preview.known) }}
          </el-button>
        </section>
        <p v-if="stored" role="status">
          <b>{{ texts.broughtInReadings(stored.readings - stored.known) }}</b>
        </p>
      </template>
      <RouterLink :to="{ name: 'tank-water', params: { tank: props.tank } }">{{
        texts.toTheWater
      }}</RouterLink>
    </AsyncState>
  </main>
</template>
