<script setup lang="ts">
import { onMounted, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, ApiProblem, ask, type Schemas } from '../shared/api/client'
import { useProblems } from '../shared/figures/problems'
import { useSession } from '../shared/state/session'
import FormField from '../shared/ui/FormField.vue'
import DoorPage from './DoorPage.vue'

/** What a link opens: coming into a firm, or choosing a new password. */
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const { byField, general } = useProblems()

// Behind the #, so that it is in no log; taken out of the address, so that it stands in no history.
const secret = location.hash.slice(1)
const link = ref<Schemas['OpenedLink'] | null>(null)
const closed = ref('')
const typed = reactive({ signInName: '', title: '', password: '' })
const faults = ref<Record<string, string>>({})
const busy = ref(false)

onMounted(async () => {
  history.replaceState(history.state, '', location.pathname)
  try {
    link.value = await ask(api.POST('/api/link', { body: { secret: secret || '-' } }))
    Object.assign(typed, { signInName: link.value.signInName ?? '', title: link.value.title })
  } catch (cause) {
    closed.value = general(cause)
  }
})

const wanted = () => (link.value?.signInName ? (['password'] as const) : (['signInName', 'title', 'password'] as const))

async function use() {
  const empty = wanted().filter((field) => !typed[field].trim())
  faults.value = Object.fromEntries(empty.map((field) => [field, t('problem.field.empty')]))
  if (empty.length) return
  busy.value = true
  try {
    await ask(api.PUT('/api/link', { body: { secret, ...typed } }))
    await signIn()
  } catch (cause) {
    faults.value = byField(cause)
  } finally {
    busy.value = false
  }
}

// A second step asks for its code at the door.
async function signIn() {
  try {
    await session.signIn(typed.signInName, typed.password)
    await router.replace({ name: 'jobs' })
  } catch (cause) {
    if (!(cause instanceof ApiProblem)) throw cause
    await router.replace({ name: 'signIn' })
  }
}
</script>

<template>
  <DoorPage>
    <template v-if="closed">
      <p role="alert">{{ closed }}</p>
      <RouterLink class="act" :to="{ name: 'signIn' }">{{ t('links.opened.toSignIn') }}</RouterLink>
    </template>
    <ElSkeleton v-else-if="!link" :rows="4" animated :aria-label="t('links.opened.looking')" />
    <template v-else>
      <h1>
        {{ link.signInName ? t('links.opened.password') : t('links.opened.welcome', { firm: link.firm }) }}
      </h1>
      <p class="quiet">
        <template v-if="link.signInName">
          {{ t('links.opened.passwordLead', { firm: link.firm, name: link.signInName }) }}
        </template>
        <template v-else>{{ t('links.opened.lead', { role: t(`role.${link.role}`) }) }}</template>
      </p>
      <form novalidate @submit.prevent="use">
        <template v-if="!link.signInName">
          <FormField v-model="typed.title" :label="t('links.opened.called')" :fault="faults.title" />
          <FormField
            v-model="typed.signInName"
            :label="t('links.opened.signInName')"
            :hint="t('links.opened.signInHint')"
            autocomplete="username"
            :fault="faults.signInName"
          />
        </template>
        <input v-else type="hidden" autocomplete="username" :value="typed.signInName" />
        <FormField v-model="typed.password" :label="t('links.opened.secret')" secret="new" :fault="faults.password" />
        <p class="small quiet">{{ t('ownAccess.hint') }}</p>
        <p class="fault" role="alert">{{ faults[''] }}</p>
        <ElButton type="primary" native-type="submit" :disabled="busy">
          {{ t(link.signInName ? 'links.opened.change' : 'links.opened.go') }}
        </ElButton>
      </form>
    </template>
  </DoorPage>
</template>

<style scoped>
form {
  display: grid;
  gap: 14px;
}
.fault:empty {
  display: none;
}
</style>
