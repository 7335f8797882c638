<script setup lang="ts">
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import TextField from '@/shared/components/TextField.vue'
import { FILL, HEATER, LAMP, PORTS, PUMP, PURGE, SHUT_OFF } from '@/shared/words'
import type { InsideForm } from './inside'
import type { Filter } from './queries'

/** How a filter is built, as far as the steps depend on it. */
const props = defineProps<{ kind: Filter['kind']; lamp: boolean; errors: Record<string, string> }>()
const form = defineModel<InsideForm>({ required: true })

const canister = props.kind === 'CANISTER'
const hoses = canister || props.kind === 'UV_UNIT'
</script>

<template>
  <div class="grid gap-3">
    <ChoiceRow
      v-if="hoses"
      v-model="form.build.shutOff"
      legend="Its hoses are shut by"
      name="passport.shutOff"
      :choices="SHUT_OFF"
    />
    <template v-if="canister">
      <ChoiceRow
        v-model="form.build.ports"
        legend="Its hoses are fixed"
        name="passport.ports"
        :choices="PORTS"
      />
      <ChoiceRow
        v-model="form.build.fill"
        legend="Once opened, it is filled"
        name="passport.fill"
        :choices="FILL"
      />
      <ChoiceRow v-model="form.build.pump" legend="Its pump sits" name="passport.pump" :choices="PUMP" />
      <ChoiceRow
        v-model="form.build.purge"
        legend="It stops by itself"
        name="passport.purge"
        :choices="PURGE"
      />
    </template>
    <ChoiceRow v-model="form.build.heater" legend="The heater is" name="passport.heater" :choices="HEATER" />
    <ChoiceRow
      v-if="canister && lamp"
      v-model="form.build.lamp"
      legend="Its lamp is"
      name="passport.lamp"
      :choices="LAMP"
    />
    <div v-if="canister" class="grid gap-2px">
      <el-checkbox v-model="form.build.wiggle">Its head comes up only by wiggling</el-checkbox>
      <el-checkbox v-model="form.build.alignmentMark">Head and body carry a mark</el-checkbox>
      <el-checkbox v-model="form.build.ventTube">It has a vent tube</el-checkbox>
      <el-checkbox v-model="form.build.pumpGuard">A guard stands over its pump</el-checkbox>
      <el-checkbox v-model="form.build.opensWhereItStands"
        >There is room to open it where it stands</el-checkbox
      >
    </div>
    <div v-if="kind === 'SUMP'" class="grid gap-2px">
      <el-checkbox v-model="form.build.dryGripSock">
        A sock can be swapped with dry hands while the pump runs
      </el-checkbox>
      <p v-if="form.build.dryGripSock" class="quiet small">
        Only if its ring stays dry, the overflow drains without a sock, and nothing powered is within reach.
      </p>
    </div>
    <div class="grid cols-[repeat(auto-fit,minmax(180px,1fr))] gap-3">
      <NumberField
        v-if="canister && form.build.purge === 'DAILY'"
        v-model="form.purgesADay"
        label="Stops a day"
        name="passport.purgesADay"
        :error="errors['passport.purgesADay']"
      />
      <NumberField
        v-if="canister"
        v-model="form.latches"
        label="Latches"
        name="passport.latches"
        :error="errors['passport.latches']"
      />
      <MeasureField
        v-if="hoses"
        v-model="form.hoseM"
        label="Both hoses together"
        name="passport.hoseM"
        quantity="LENGTH"
        :error="errors['passport.hoseM']"
      />
      <MeasureField
        v-if="hoses"
        v-model="form.hoseInnerMm"
        label="Inner width of a hose"
        name="passport.hoseInnerMm"
        quantity="SIZE"
        :error="errors['passport.hoseInnerMm']"
      />
      <TextField
        v-model="form.spares"
        label="Spares on board"
        name="passport.spares"
        hint="What lies ready, and where"
        :error="errors['passport.spares']"
      />
    </div>
  </div>
</template>
