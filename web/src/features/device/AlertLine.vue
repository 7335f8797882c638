<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useRights } from '@/features/account'
import LinkButton from '@/shared/components/LinkButton.vue'
import { momentWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { inOurUnits } from '@/shared/units'
import PlugSwitch from './PlugSwitch.vue'
import { useQuiet, useSeen, useTakeAsUsual, useUndoPress, type Alert } from './queries'
import type { Device } from './words'

/** One alert: what is, what to do, who has seen it, and what can be done from here. */
const props = defineProps<{ alert: Alert; devices: Device[]; now: number }>()

const QUIET_MINUTES = 30
const OFF = ['FILTER_OFF', 'FILTER_OFF_LONG']
const TROUBLE = ['FLOW_FELL', 'NO_WATER']
/** Alarms that hold something against what was usual. */
const AGAINST_USUAL = ['FLOW_FELL', 'NO_WATER', 'TOO_COLD', 'TOO_WARM']

const { mayWork } = useRights()
const { trouble, send } = useSending()
const seen = useSeen()
const quiet = useQuiet()
const usual = useTakeAsUsual()
const undo = useUndoPress()
const switching = ref(false)

const stands = computed(() => props.alert.endedAt === undefined)
const hushed = computed(
  () => props.alert.quietUntil !== undefined && Date.parse(props.alert.quietUntil) > props.now,
)
const plug = computed(() =>
  OFF.includes(props.alert.alarm)
    ? props.devices.find((one) => one.kind === 'PLUG' && one.filterId === props.alert.filterId)
    : undefined,
)
</script>

<template>
  <div
    class="alert py-10px edge-b-hair"
    :class="{ danger: alert.danger && stands && !hushed, ended: !stands }"
  >
    <p class="what font-680">
      <span aria-hidden="true">{{ stands ? (alert.danger ? '!' : '•') : '○' }}</span>
      {{ inOurUnits(alert.what) }}
    </p>
    <p v-if="stands && alert.then" class="then">{{ alert.then }}</p>
    <p class="quiet small">
      {{ texts.since(momentWords(alert.beganAt))
      }}<template v-if="alert.endedAt">{{ texts.overAt(momentWords(alert.endedAt)) }}</template
      ><template v-if="alert.seenBy">{{ texts.seenBy(alert.seenBy) }}</template
      ><template v-if="stands && hushed && alert.quietUntil">{{
        texts.quietUntil(momentWords(alert.quietUntil))
      }}</template
      >.
    </p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <div v-if="mayWork" class="flex flex-wrap gap-y-1 gap-x-10px mt-6px">
      <template v-if="stands">
        <el-button v-if="plug" type="primary" @click="switching = true">{{ texts.switchItOn }}</el-button>
        <LinkButton
          v-if="TROUBLE.includes(alert.alarm)"
          :to="{ name: 'start-case', query: { filter: alert.filterId } }"
          >{{ texts.lookForTheCause }}</LinkButton
        >
        <el-button v-if="!alert.seenBy" @click="send(() => seen.mutateAsync(alert.id))">
          {{ texts.iveSeenIt }}
        </el-button>
        <el-button
          v-if="!hushed"
          text
          type="primary"
          @click="send(() => quiet.mutateAsync({ alert: alert.id, minutes: QUIET_MINUTES }))"
        >
          {{ texts.quietForMinutes(QUIET_MINUTES) }}
        </el-button>
        <el-button
          v-if="AGAINST_USUAL.includes(alert.alarm)"
          text
          type="primary"
          @click="send(() => usual.mutateAsync(alert.id))"
        >
          {{ texts.itsMeantToBe }}
        </el-button>
      </template>
      <el-button v-if="alert.serviceId" text type="primary" @click="send(() => undo.mutateAsync(alert.id))">
        {{ texts.undo }}
      </el-button>
    </div>
    <PlugSwitch v-if="plug && switching" v-model="switching" :plug="plug" />
  </div>
</template>

<style scoped>
.danger .what {
  color: var(--brick);
}

.ended .what {
  font-weight: 400;
}
</style>
