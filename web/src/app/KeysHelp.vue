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
      <div v-for="{ keys, does } in KEYS" :key="does">
        <dt>
          <kbd v-for="key in keys" :key="key">{{ key }}</kbd>
        </dt>
        <dd>{{ does }}</dd>
      </div>
    </dl>
  </el-dialog>
</template>

<style scoped>
div {
  display: grid;
  grid-template-columns: 110px 1fr;
  align-items: center;
  min-height: 38px;
}

kbd {
  display: inline-block;
  min-width: 26px;
  margin-right: 5px;
  padding: 1px 7px;
  border: 1px solid var(--line);
  border-radius: 4px;
  font-family: var(--mono);
  text-align: center;
}
</style>
