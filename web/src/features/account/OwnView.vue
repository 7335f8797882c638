<script setup lang="ts">
import { texts } from './texts'
import { reactive, ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import NewPasswordField from './NewPasswordField.vue'
import { momentWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import OwnSites from './OwnSites.vue'
import PasskeysBox from './PasskeysBox.vue'
import { useChangePassword, useEndSession, useOwnSessions } from './queries'

/** At the table: a person's own password, sessions and sites. */
const sessions = useOwnSessions()
const end = useEndSession()
const change = useChangePassword()
const { sending, errors, trouble, send } = useSending()
const ending = useSending()

const form = reactive({ present: '', wanted: '' })
const said = ref(false)

async function changePassword() {
  said.value = false
  if ((await send(() => change.mutateAsync({ ...form }).then(() => true))) !== true) return
  Object.assign(form, { present: '', wanted: '' })
  said.value = true
}
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.you }}</h1>
    <OwnSites class="mb-5" />
    <section class="mb-5">
      <h2 class="mt-4">{{ texts.whereYouAreSigned }}</h2>
      <AsyncState
        :pending="sessions.isPending.value"
        :error="lacking(sessions)"
        :what="texts.yourSessions"
        @retry="sessions.refetch()"
      >
        <ul class="sessions lines">
          <li v-for="one in sessions.data.value" :key="one.mark">
            <span>
              <strong>{{ one.here ? texts.here : one.device.replace(/^a/, 'A') }}</strong>
              <template v-if="one.here">, {{ one.device }}</template>
              <span class="quiet"
                ><template v-if="one.address"> {{ texts.at(one.address) }}</template
                >{{ texts.lastUsed(momentWords(one.lastUsedAt)) }}</span
              >
            </span>
            <el-button
              v-if="!one.here"
              class="flex-none"
              type="primary"
              text
              @click="ending.send(() => end.mutateAsync(one.mark))"
            >
              {{ texts.endIt }}
            </el-button>
          </li>
        </ul>
        <p v-if="ending.trouble.value" class="trouble" role="alert">{{ ending.trouble.value }}</p>
      </AsyncState>
    </section>
    <PasskeysBox class="mb-5" />
    <section class="mb-5">
      <h2 class="mt-4">{{ texts.password }}</h2>
      <form class="short-form" novalidate @submit.prevent="changePassword">
        <TextField
          v-model="form.present"
          :label="texts.presentPassword"
          name="present"
          type="password"
          autocomplete="current-password"
          :error="errors.present"
        />
        <NewPasswordField
          v-model="form.wanted"
          :label="texts.newPassword"
          name="wanted"
          :error="errors.wanted"
        />
        <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
        <p v-if="said" role="status">{{ texts.changedYouAreSigned }}</p>
        <el-button native-type="submit" :loading="sending">{{ texts.changeThePassword }}</el-button>
      </form>
    </section>
  </main>
</template>
