<script setup lang="ts">
import { texts } from './texts'
import { useClipboard } from '@vueuse/core'
import { computed, reactive, ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import SquareCode from '@/shared/components/SquareCode.vue'
import TextField from '@/shared/components/TextField.vue'
import { momentWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { useHouse } from '@/features/upkeep'
import { useInvitations, useInvite, useTakeBack } from './queries'
import { ROLES, roleWord, type Role } from './rights'

/** Invites somebody: a link that works once, to hand over or to scan. */
const invitations = useInvitations()
const house = useHouse()
const invite = useInvite()
const takeBack = useTakeBack()
const { sending, errors, trouble, send } = useSending()
const { copy, copied } = useClipboard({ legacy: true })

const form = reactive<{ role: Role; note: string }>({ role: 'HELPER', note: '' })
const code = ref<string>()
const here = /^(127\.|localhost$|\[::1\])/.test(location.hostname)
/** Where others reach the site: by the address it is open under, or as this browser does. */
const origin = computed(() => {
  const inHouse = house.data.value?.addresses[0]
  return here && inHouse ? inHouse.replace(/\/$/, '') : location.origin
})
const link = computed(() => `${origin.value}/join#${code.value ?? ''}`)
const reachable = computed(() => origin.value !== location.origin || !here)

async function make() {
  const made = await send(() => invite.mutateAsync({ ...form }))
  if (made?.code) {
    code.value = made.code
    form.note = ''
  }
}
</script>

<template>
  <section>
    <h2>{{ texts.inviteSomebody }}</h2>
    <form class="grid gap-3 max-w-560px" novalidate @submit.prevent="make">
      <ChoiceRow v-model="form.role" :legend="texts.as" name="role" :choices="ROLES" />
      <TextField
        v-model="form.note"
        :label="texts.forWhom"
        name="note"
        :hint="texts.onlyForThisList"
        :error="errors.note"
      />
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :loading="sending">{{ texts.makeALink }}</el-button>
    </form>
    <div v-if="code" class="flex flex-wrap gap-4 items-start my-4" role="status">
      <SquareCode v-if="reachable" :text="link" :label="texts.squareCodeOfThe" />
      <div class="flex-[1_1_260px]">
        <p>
          {{ texts.thisLinkLetsOne }}
        </p>
        <p class="link font-mono [overflow-wrap:anywhere]">{{ link }}</p>
        <el-button @click="copy(link)">{{ copied ? texts.copied : texts.copyTheLink }}</el-button>
        <p v-if="!reachable" class="quiet">
          {{ texts.itWorksOnThis }}
          <code>./chervil start --house</code>.
        </p>
      </div>
    </div>
    <AsyncState
      :pending="invitations.isPending.value"
      :error="lacking(invitations)"
      :what="texts.theInvitations"
      @retry="invitations.refetch()"
    >
      <ul v-if="invitations.data.value?.length" class="open lines">
        <li v-for="one in invitations.data.value" :key="one.mark">
          <span>
            {{ texts.as2(one.note || texts.somebody, roleWord(one.role)) }}
            <span class="quiet">{{ texts.byUntil(one.madeBy, momentWords(one.expiresAt)) }}</span>
          </span>
          <el-button type="primary" text @click="send(() => takeBack.mutateAsync(one.mark))">
            {{ texts.takeBack
            }}<span class="seen-by-readers"> {{ texts.theInvitationFor(one.note || texts.somebody2) }}</span>
          </el-button>
        </li>
      </ul>
    </AsyncState>
  </section>
</template>
