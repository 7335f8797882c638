<script setup lang="ts">
import { texts } from './texts'
import { reactive } from 'vue'
import TextField from '@/shared/components/TextField.vue'
import NewPasswordField from './NewPasswordField.vue'
import { useSending } from '@/shared/form'
import { useRecover } from './queries'

/** A forgotten password: a code from the keeper, or from where the server runs, opens the way to a new one. */
const recover = useRecover()
const { sending, errors, trouble, send } = useSending()
const form = reactive({ code: '', password: '' })

const choose = () => send(() => recover.mutateAsync({ ...form }))
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.chooseANewPassword }}</h1>
    <p class="quiet">
      {{ texts.aKeeperMakesThe }}
      <code>./chervil recover NAME</code>
    </p>
    <form class="short-form" novalidate @submit.prevent="choose">
      <TextField
        v-model="form.code"
        :label="texts.code"
        name="code"
        :hint="texts.withOrWithoutDashes"
        :error="errors.code"
      />
      <NewPasswordField
        v-model="form.password"
        :label="texts.newPassword"
        name="password"
        :error="errors.password"
      />
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :loading="sending">{{
        texts.changeThePassword
      }}</el-button>
      <RouterLink :to="{ name: 'door' }">{{ texts.backToSignIn }}</RouterLink>
    </form>
  </main>
</template>
