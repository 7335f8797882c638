<script setup lang="ts">
import { texts } from './texts'
import { useMediaQuery } from '@vueuse/core'
import FindingTile from '@/shared/components/FindingTile.vue'
import { shortDay } from '@/shared/dates'
import type { LedgerEntry } from './queries'
import { besides, by, told, worst } from './telling'

/** Services as rows that sort; on a phone each is a card. */
defineProps<{ entries: LedgerEntry[] }>()

const narrow = useMediaQuery('(width <= 640px)')
</script>

<template>
  <ol v-if="narrow">
    <li v-for="{ tankName, service } in entries" :key="service.id" class="pt-6px pb-12px edge-b-hair">
      <p class="flex gap-12px items-center">
        <span class="quiet">{{ shortDay(service.doneOn) }}</span>
        <RouterLink
          class="tank inline-block content-center min-w-44px min-h-44px"
          :to="{ name: 'tank', params: { tank: service.tankId } }"
          >{{ tankName }}</RouterLink
        >
        <RouterLink
          class="inline-block content-center min-w-44px min-h-44px ml-auto"
          :to="{ name: 'correct', params: { tank: service.tankId, service: service.id } }"
          >{{ texts.correct
          }}<span class="seen-by-readers"> {{ tankName }}, {{ shortDay(service.doneOn) }}</span></RouterLink
        >
      </p>
      <FindingTile
        v-if="worst(service)"
        v-bind="worst(service)!"
        :size="26"
        class="tile [float:left] mr-10px"
      />
      {{ told(service) }}
      <span class="small quiet"
        >{{ service.note }} {{ besides(service) }} {{ by(service)
        }}{{ service.minutes ? texts.min2(service.minutes) : '' }}</span
      >
    </li>
  </ol>
  <el-table v-else :data="entries" row-key="service.id" class="ledger" table-layout="auto">
    <el-table-column :label="texts.day" prop="service.doneOn" sortable width="110" class-name="day">
      <template #default="{ row }">{{ shortDay(row.service.doneOn) }}</template>
    </el-table-column>
    <el-table-column :label="texts.tank" prop="tankName" sortable width="160">
      <template #default="{ row }">
        <RouterLink :to="{ name: 'tank', params: { tank: row.service.tankId } }">{{
          row.tankName
        }}</RouterLink>
      </template>
    </el-table-column>
    <el-table-column :label="texts.done" min-width="320" class-name="told">
      <template #default="{ row }">
        <div class="done grid cols-[26px_1] gap-10px items-center">
          <FindingTile v-if="worst(row.service)" v-bind="worst(row.service)!" :size="26" />
          <span v-else />
          <span
            >{{ told(row.service) }}
            <span class="small quiet">{{ row.service.note }} {{ besides(row.service) }}</span></span
          >
        </div>
      </template>
    </el-table-column>
    <el-table-column :label="texts.by" prop="service.doneBy" sortable width="130">
      <template #default="{ row }">{{ by(row.service) }}</template>
    </el-table-column>
    <el-table-column :label="texts.minutes" prop="service.minutes" sortable width="110" align="right" />
    <el-table-column width="110" align="right">
      <template #header
        ><span class="seen-by-readers">{{ texts.correct }}</span></template
      >
      <template #default="{ row }">
        <RouterLink :to="{ name: 'correct', params: { tank: row.service.tankId, service: row.service.id } }"
          >{{ texts.correct
          }}<span class="seen-by-readers">
            {{ row.tankName }}, {{ shortDay(row.service.doneOn) }}</span
          ></RouterLink
        >
      </template>
    </el-table-column>
  </el-table>
</template>
