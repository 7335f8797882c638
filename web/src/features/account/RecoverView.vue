<script setup lang="ts">
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
    <h1>Choose a new password</h1>
    <p class="quiet">
      A keeper makes the code under People. Keepers themselves get one where Chervil runs:
      <code>./chervil recover NAME</code>
    </p>
    <form class="short-form" novalidate @submit.prevent="choose">
      <TextField
        v-model="form.code"
        label="Code"
        name="code"
        hint="With or without dashes"
        :error="errors.code"
      />
      <NewPasswordField
        v-model="form.password"
        label="New password"
        name="password"
        :error="errors.password"
      />
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :loading="sending">Change the password</el-button>
      <RouterLink :to="{ name: 'door' }">Back to sign in</RouterLink>
    </form>
  </main>
</template>
