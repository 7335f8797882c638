<script setup lang="ts">
import { PLACES } from './places'

/** All keys. */
const shown = defineModel<boolean>({ required: true })

const KEYS = [
  ...PLACES.map((place) => ({ keys: ['g', place.key], does: place.label })),
  { keys: ['l'], does: 'Log a service now' },
  { keys: ['e'], does: 'On a tank: change it' },
  { keys: ['1', '…', '5'], does: 'On the tiles: how it looked' },
  { keys: ['/'], does: 'Search for anything' },
  { keys: ['d'], does: 'Day or lamp theme' },
  { keys: ['?'], does: 'These keys' },
]
</script>

<template>
  <el-dialog v-model="shown" title="Keys" width="min(420px, 92vw)">
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
