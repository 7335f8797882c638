<script setup lang="ts">
import { texts } from './texts'
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
      :legend="texts.itsHosesAreShut"
      name="passport.shutOff"
      :choices="SHUT_OFF"
    />
    <template v-if="canister">
      <ChoiceRow
        v-model="form.build.ports"
        :legend="texts.itsHosesAreFixed"
        name="passport.ports"
        :choices="PORTS"
      />
      <ChoiceRow
        v-model="form.build.fill"
        :legend="texts.onceOpenedItIs"
        name="passport.fill"
        :choices="FILL"
      />
      <ChoiceRow v-model="form.build.pump" :legend="texts.itsPumpSits" name="passport.pump" :choices="PUMP" />
      <ChoiceRow
        v-model="form.build.purge"
        :legend="texts.itStopsByItself"
        name="passport.purge"
        :choices="PURGE"
      />
    </template>
    <ChoiceRow
      v-model="form.build.heater"
      :legend="texts.theHeaterIs"
      name="passport.heater"
      :choices="HEATER"
    />
    <ChoiceRow
      v-if="canister && lamp"
      v-model="form.build.lamp"
      :legend="texts.itsLampIs"
      name="passport.lamp"
      :choices="LAMP"
    />
    <div v-if="canister" class="grid gap-2px">
      <el-checkbox v-model="form.build.wiggle">{{ texts.itsHeadComesUp }}</el-checkbox>
      <el-checkbox v-model="form.build.alignmentMark">{{ texts.headAndBodyCarry }}</el-checkbox>
      <el-checkbox v-model="form.build.ventTube">{{ texts.itHasAVent }}</el-checkbox>
      <el-checkbox v-model="form.build.pumpGuard">{{ texts.aGuardStandsOver }}</el-checkbox>
      <el-checkbox v-model="form.build.opensWhereItStands">{{ texts.thereIsRoomTo }}</el-checkbox>
    </div>
    <div v-if="kind === 'SUMP'" class="grid gap-2px">
      <el-checkbox v-model="form.build.dryGripSock">
        {{ texts.aSockCanBe }}
      </el-checkbox>
      <p v-if="form.build.dryGripSock" class="quiet small">
        {{ texts.onlyIfItsRing }}
      </p>
    </div>
    <div class="grid cols-[repeat(auto-fit,minmax(180px,1fr))] gap-3">
      <NumberField
        v-if="canister && form.build.purge === 'DAILY'"
        v-model="form.purgesADay"
        :label="texts.stopsADay"
        name="passport.purgesADay"
        :error="errors['passport.purgesADay']"
      />
      <NumberField
        v-if="canister"
        v-model="form.latches"
        :label="texts.latches"
        name="passport.latches"
        :error="errors['passport.latches']"
      />
      <MeasureField
        v-if="hoses"
        v-model="form.hoseM"
        :label="texts.bothHosesTogether"
        name="passport.hoseM"
        quantity="LENGTH"
        :error="errors['passport.hoseM']"
      />
      <MeasureField
        v-if="hoses"
        v-model="form.hoseInnerMm"
        :label="texts.innerWidthOfA"
        name="passport.hoseInnerMm"
        quantity="SIZE"
        :error="errors['passport.hoseInnerMm']"
      />
      <TextField
        v-model="form.spares"
        :label="texts.sparesOnBoard"
        name="passport.spares"
        :hint="texts.whatLiesReadyAnd"
        :error="errors['passport.spares']"
      />
    </div>
  </div>
</template>
