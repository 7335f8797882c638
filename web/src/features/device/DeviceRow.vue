<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useRights } from '@/features/account'
import type { Schemas } from '@/shared/api/client'
import { longDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import DeviceCurve from './DeviceCurve.vue'
import DeviceToken from './DeviceToken.vue'
import PlugSwitch from './PlugSwitch.vue'
import { useRemoveDevice, useSwitch, useTested, useToken } from './queries'
import { KINDS, measures, readingWords, sinceWords, type Device } from './words'

/** A device: what it reads now, and what can be done with it. */
const props = defineProps<{ device: Device; now: number }>()

const { mayWork, mayKeep } = useRights()
const { trouble, send } = useSending()
const tested = useTested()
const token = useToken()
const remove = useRemoveDevice()
const turn = useSwitch()
const open = ref(false)
const switching = ref(false)
const leaving = ref(false)
const made = ref<Schemas['DeviceToken']>()

const kind = computed(() => KINDS.find((one) => one.value === props.device.kind)?.label ?? '')
const off = computed(() => props.device.kind === 'PLUG' && props.device.amissSince !== undefined)

async function anew() {
  const answer = await send(() => token.mutateAsync(props.device.id))
  if (answer?.token) made.value = answer
}
</script>

<template>
  <li class="py-10px edge-b-hair">
    <div class="line grid cols-[1_120px_216px] gap-3 items-center max-phone:cols-[1_auto]">
      <div>
        <strong>{{ device.name }}</strong>
        <p class="quiet small">{{ kind }}, {{ device.at }}</p>
      </div>
      <p class="reading grid text-right" :class="{ amiss: device.alarms.length > 0 }">
        <b class="text-20px">{{
          device.value === undefined ? texts.nothingYet : readingWords(device.kind, device.value)
        }}</b>
        <span class="quiet small">{{
          device.alarms.includes('SILENT')
            ? texts.silentLastHeard(sinceWords(device.heardAt, now))
            : device.valueAt
              ? sinceWords(device.valueAt, now)
              : ''
        }}</span>
      </p>
      <div class="flex flex-wrap gap-y-1 gap-x-2 items-center">
        <el-button
          v-if="measures(device.kind)"
          text
          type="primary"
          :aria-expanded="open"
          @click="open = !open"
        >
          {{ open ? texts.close : texts.curve
          }}<span class="seen-by-readers"> {{ texts.of(device.name) }}</span>
        </el-button>
        <template v-if="mayWork && device.kind === 'PLUG'">
          <el-button v-if="off" type="primary" @click="switching = true">{{ texts.switchOn }}</el-button>
          <el-button v-else @click="send(() => turn.mutateAsync({ device: device.id, on: false }))">
            {{ texts.switchOff }}
          </el-button>
        </template>
      </div>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <DeviceCurve v-if="open" :device="device" />
    <div v-if="mayWork" class="small flex flex-wrap gap-y-1 gap-x-2 items-center">
      <span class="quiet">{{
        device.testedOn ? texts.triedOut(longDay(device.testedOn)) : texts.neverTriedOut
      }}</span>
      <el-button text type="primary" @click="send(() => tested.mutateAsync(device.id))">
        {{ texts.triedItToday }}<span class="seen-by-readers">: {{ device.name }}</span>
      </el-button>
      <template v-if="mayKeep">
        <el-button text type="primary" @click="anew">
          {{ texts.newToken }}<span class="seen-by-readers"> {{ texts.for(device.name) }}</span>
        </el-button>
        <el-button text type="primary" @click="leaving = true">
          {{ texts.takeOff }}<span class="seen-by-readers"> {{ device.name }}</span>
        </el-button>
      </template>
    </div>
    <DeviceToken v-if="made" :made="made" @done="made = undefined" />
    <PlugSwitch v-if="switching" v-model="switching" :plug="device" />
    <el-dialog v-model="leaving" :title="texts.takeOff2(device.name)" width="min(420px, 92vw)" append-to-body>
      <p>{{ texts.itsTokenEndsAt }}</p>
      <template #footer>
        <el-button type="primary" text @click="leaving = false">{{ texts.keepIt }}</el-button>
        <el-button type="primary" @click="send(() => remove.mutateAsync(device.id))">{{
          texts.takeItOff
        }}</el-button>
      </template>
    </el-dialog>
  </li>
</template>

<style scoped>
.amiss b {
  color: var(--brick);
}

.line + div {
  margin-top: var(--gap-2);
}
</style>
