<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import NewPasswordField from './NewPasswordField.vue'
import { errorsWithin, useSending } from '@/shared/form'
import { useJoin, useOffer, useSession } from './queries'
import { roleWord } from './rights'

/** An invitation opened: where it leads, and who accepts it. Its code stands after the #, which no server is sent. */
const code = location.hash.slice(1)
const { data: session } = useSession()
const offer = useOffer(code)
const join = useJoin()
const { sending, errors, trouble, send } = useSending()

const person = reactive({ login: '', name: '', password: '' })
const field = computed(() => errorsWithin(errors.value, 'person'))
const known = computed(() => session.value?.name)
const offered = computed(() => offer.data.value)

const accept = (asNew: boolean) =>
  send(() => join.mutateAsync(asNew ? { code, person: { ...person } } : { code }))
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="offer.isPending.value"
      :error="lacking(offer)"
      :what="texts.thisInvitation"
      @retry="offer.refetch()"
    >
      <template v-if="offered">
        <h1>{{ texts.join(offered.siteName) }}</h1>
        <p>{{ texts.invitesYouAs(offered.madeBy, roleWord(offered.role)) }}</p>
        <template v-if="known">
          <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
          <el-button type="primary" :loading="sending" @click="accept(false)">{{
            texts.joinAs(known)
          }}</el-button>
          <p class="quiet">{{ texts.ifThatIsNot }}</p>
        </template>
        <form v-else class="short-form" novalidate @submit.prevent="accept(true)">
          <TextField v-model="person.name" :label="texts.yourName" name="person.name" :error="field.name" />
          <TextField
            v-model="person.login"
            :label="texts.nameToSignIn"
            name="person.login"
            autocomplete="username"
            :hint="texts.lettersAToZ"
            :error="field.login"
          />
          <NewPasswordField v-model="person.password" name="person.password" :error="field.password" />
          <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
          <el-button type="primary" native-type="submit" :loading="sending">{{ texts.join2 }}</el-button>
          <p class="quiet">
            {{ texts.alreadySigningInTo }}
            <RouterLink :to="{ name: 'door', query: { to: `/join#${code}` } }">{{
              texts.signInFirst
            }}</RouterLink>
          </p>
        </form>
      </template>
    </AsyncState>
  </main>
</template>
