<script setup lang="ts">
import { texts } from './texts'
import { useRights } from '@/features/account'
import { useTanks } from '@/features/tank'
import { useSending } from '@/shared/form'
import { useQuarantineTanks, useSetQuarantine } from './queries'

/** Which tanks are for quarantine: what was in one goes into no other. */
const tanks = useTanks()
const quarantined = useQuarantineTanks()
const set = useSetQuarantine()
const { mayKeep } = useRights()
const { trouble, send } = useSending()
</script>

<template>
  <section class="mt-3" aria-labelledby="quarantine">
    <h2 id="quarantine">{{ texts.quarantineTanks }}</h2>
    <p class="quiet small">{{ texts.whatWasInOne }}</p>
    <ul>
      <li v-for="one in tanks.data.value" :key="one.id">
        <el-checkbox
          :model-value="quarantined.data.value?.includes(one.id) ?? false"
          :disabled="!mayKeep || quarantined.isPending.value"
          @update:model-value="
            (on: unknown) => send(() => set.mutateAsync({ tank: one.id, quarantine: on === true }))
          "
          >{{ one.tank.name }}</el-checkbox
        >
      </li>
    </ul>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>
