<script setup lang="ts">
import { texts } from './texts'
import { PLACES } from './places'

/** All keys. */
const shown = defineModel<boolean>({ required: true })

const KEYS = [
  ...PLACES.map((place) => ({ keys: ['g', place.key], does: place.label })),
  { keys: ['l'], does: texts.logAServiceNow },
  { keys: ['e'], does: texts.onATankChange },
  { keys: ['1', '…', '5'], does: texts.onTheTilesHow },
  { keys: ['/'], does: texts.searchForAnything },
  { keys: ['d'], does: texts.dayOrLampTheme },
  { keys: ['?'], does: texts.theseKeys },
]
</script>

<template>
  <el-dialog v-model="shown" :title="texts.keys" width="min(420px, 92vw)">
    <dl>
      <div v-for="{ keys, does } in KEYS" :key="does" class="grid cols-[110px_1fr] items-center min-h-38px">
        <dt>
          <kbd
            v-for="key in keys"
            :key="key"
            class="inline-block min-w-26px mr-5px py-1px px-7px edge-line rounded-4px font-mono text-center"
            >{{ key }}</kbd
          >
        </dt>
        <dd>{{ does }}</dd>
      </div>
    </dl>
  </el-dialog>
</template>
