<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { proposed, SYSTEMS, type System } from '@/shared/units'
import { passkeysWork } from './passkeys'
import { useChooseUnits, useDemoDoor, usePasskeySignIn, useSession, useSetUp, useSignIn } from './queries'
import { roleWord } from './rights'

/** Coming in: sign-in, the first account, or the demo's doors. */
const { data: session } = useSession()
const { sending, errors, trouble, send } = useSending()
const signIn = useSignIn()
const byPasskey = usePasskeySignIn()
const passkeys = passkeysWork()
const setUp = useSetUp()
const demo = useDemoDoor()
const units = useChooseUnits()

const first = computed(() => session.value?.needsSetup === true)
const form = reactive({ login: '', password: '' })
const setup = reactive({ code: '', siteName: '' })
const keeper = reactive({ login: '', name: '', password: '' })

/** Proposed from the browser's language; all of it can be changed later. */
const proposal = proposed(navigator.language)
const system = ref(proposal.system)
const SYSTEM: { value: System; label: string; hint: string }[] = [
  { value: 'METRIC', label: texts.metric, hint: texts.litresAndCYou },
  { value: 'US', label: 'US', hint: texts.usGallonsAndF },
  { value: 'UK', label: 'UK', hint: texts.imperialGallonsAndC },
]

async function begin() {
  await setUp.mutateAsync({ ...setup, keeper: { ...keeper } })
  const { decimalSign } = proposal.units
  // The account stands; units can be chosen again if this one answer is lost.
  await units.mutateAsync({ ...SYSTEMS[system.value], decimalSign }).catch(() => undefined)
}

const submit = () => send<unknown>(() => (first.value ? begin() : signIn.mutateAsync({ ...form })))
</script>

<template>
  <main class="max-w-400px mt-12vh mb-40px mx-auto px-20px">
    <svg class="mark" width="44" height="44" viewBox="0 0 34 34" aria-hidden="true">
      <path
        class="fill-none stroke-herb stroke-width-2.6 stroke-cap-round stroke-join-round"
        d="M17 32V14M17 20C9 20 6 15 5 9c6 0 11 3 12 9M17 15c0-6 4-10 11-11 0 7-4 12-11 13"
      />
    </svg>
    <template v-if="session?.demoAccounts.length">
      <h1>{{ texts.ternHouseTheDemo }}</h1>
      <p class="quiet">
        {{ texts.aMadeUpVisitor }}
      </p>
      <div class="grid gap-3 mt-3">
        <el-button
          v-for="account in session.demoAccounts"
          :key="account.login"
          :type="account.role === 'KEEPER' ? 'primary' : undefined"
          :disabled="sending"
          @click="send(() => demo.mutateAsync(account.login))"
        >
          {{ account.name }}, {{ roleWord(account.role) }}
        </el-button>
      </div>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    </template>
    <form v-else class="grid gap-3 mt-3" novalidate @submit.prevent="submit">
      <h1>{{ first ? texts.makeTheKeepersAccount : texts.signIn }}</h1>
      <p v-if="first" class="quiet">{{ texts.theCodeWasPrinted }}</p>
      <template v-if="first">
        <TextField v-model="setup.code" :label="texts.code" name="code" :error="errors.code" />
        <TextField
          v-model="setup.siteName"
          :label="texts.site"
          name="siteName"
          :hint="texts.yourHomeClubOr"
          :error="errors.siteName"
        />
        <TextField
          v-model="keeper.name"
          :label="texts.yourName"
          name="keeper.name"
          :error="errors['keeper.name']"
        />
        <TextField
          v-model="keeper.login"
          :label="texts.nameToSignIn"
          name="keeper.login"
          autocomplete="username"
          :error="errors['keeper.login']"
        />
        <TextField
          v-model="keeper.password"
          :label="texts.password"
          name="keeper.password"
          type="password"
          autocomplete="new-password"
          :hint="texts.atLeast10Characters"
          :error="errors['keeper.password']"
        />
        <ChoiceRow v-model="system" :legend="texts.units" name="system" :choices="SYSTEM" />
      </template>
      <template v-else>
        <TextField
          v-model="form.login"
          :label="texts.name"
          name="login"
          autocomplete="username"
          :error="errors.login"
        />
        <TextField
          v-model="form.password"
          :label="texts.password"
          name="password"
          type="password"
          autocomplete="current-password"
          :error="errors.password"
        />
      </template>
      <p v-if="errors.credential" class="trouble" role="alert">{{ errors.credential }}</p>
      <p v-else-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :disabled="sending">
        {{ first ? texts.makeTheAccount : texts.signIn }}
      </el-button>
      <el-button v-if="!first && passkeys" :disabled="sending" @click="send(() => byPasskey.mutateAsync())">
        {{ texts.signInWithA }}
      </el-button>
      <RouterLink v-if="!first" :to="{ name: 'recover' }">{{ texts.forgotThePasswordI }}</RouterLink>
    </form>
  </main>
</template>
