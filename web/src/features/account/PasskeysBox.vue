<script setup lang="ts">
import { texts } from './texts'
import { ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import { momentWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { deviceName, makePasskey, passkeysWork } from './passkeys'
import { askForPasskey, useAddPasskey, usePasskeys, useRemovePasskey } from './queries'

/** A person's passkeys: what each is for, when it was used, and a new one. */
const passkeys = usePasskeys()
const add = useAddPasskey()
const remove = useRemovePasskey()
const { sending, errors, trouble, send } = useSending()
const removing = useSending()

const works = passkeysWork()
const adding = ref(false)
const label = ref(deviceName())
const password = ref('')
const said = ref('')

async function make() {
  said.value = ''
  const options = await send(() => askForPasskey(password.value))
  if (!options) return
  const credential = await makePasskey(options).catch(() => undefined)
  if (!credential) {
    said.value = texts.theDeviceMadeNone
    return
  }
  const kept = await send(() => add.mutateAsync({ label: label.value, credential }).then(() => true))
  if (kept !== true) return
  adding.value = false
  password.value = ''
  said.value = texts.fromNowOnThis
}
</script>

<template>
  <section aria-labelledby="passkeys">
    <h2 id="passkeys" class="mt-4">{{ texts.passkeys }}</h2>
    <p class="quiet">
      {{ texts.aDeviceOfYours }}
    </p>
    <AsyncState
      :pending="passkeys.isPending.value"
      :error="lacking(passkeys)"
      :what="texts.yourPasskeys"
      @retry="passkeys.refetch()"
    >
      <ul v-if="passkeys.data.value?.length" class="lines">
        <li v-for="one in passkeys.data.value" :key="one.id">
          <span>
            <strong>{{ one.label }}</strong>
            <span class="quiet">
              {{
                texts.for(
                  one.server,
                  one.usedAt ? texts.lastUsed2(momentWords(one.usedAt)) : texts.made(momentWords(one.madeAt)),
                )
              }}
            </span>
          </span>
          <el-button
            class="flex-none"
            type="primary"
            text
            @click="removing.send(() => remove.mutateAsync(one.id))"
          >
            {{ texts.remove }}<span class="seen-by-readers"> {{ one.label }}</span>
          </el-button>
        </li>
      </ul>
      <p v-if="removing.trouble.value" class="trouble" role="alert">{{ removing.trouble.value }}</p>
    </AsyncState>
    <p v-if="!works" class="small quiet">
      {{ texts.oneCanBeMade }}
    </p>
    <el-button v-else-if="!adding" @click="adding = true">{{ texts.makeOneOnThis }}</el-button>
    <form v-else class="short-form" novalidate @submit.prevent="make">
      <TextField v-model="label" :label="texts.whatIsThisDevice" name="label" :error="errors.label" />
      <TextField
        v-model="password"
        :label="texts.yourPassword"
        name="passkey-password"
        type="password"
        autocomplete="current-password"
        :error="errors.password"
      />
      <p v-if="trouble && !errors.label && !errors.password" class="trouble" role="alert">{{ trouble }}</p>
      <div>
        <el-button type="primary" native-type="submit" :loading="sending">{{
          texts.makeThePasskey
        }}</el-button>
        <el-button type="primary" text @click="adding = false">{{ texts.notNow }}</el-button>
      </div>
    </form>
    <p v-if="said" role="status">{{ said }}</p>
  </section>
</template>
