<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'

/** Programs that ask in the firm's name: each has a token with a role and an end. A secret is shown once. */
type Token = Schemas['TokenAnswer']
const { t, d } = useI18n()
const queries = useQueryClient()
const { byField, general } = useProblems()
const tokens = useQuery({ queryKey: ['tokens'], queryFn: () => ask(api.GET('/api/tokens')) })

const ROLES = ['viewer', 'helper', 'crewLead', 'estimator'] as const
const roles = computed(() => ROLES.map((value) => ({ value, text: t(`role.${value}`) })))
const typed = reactive({ name: '', role: 'viewer' as Schemas['FirmRole'], days: '90' })
const faults = ref<Record<string, string>>({})
const shown = ref<{ name: string; secret: string } | null>(null)
const copied = ref(false)

// The secret goes no further than this page: what is kept of the answer is the list.
function take(answer: Schemas['TokensAnswer'], name = '') {
  queries.setQueryData(['tokens'], { ...answer, secret: null })
  shown.value = answer.secret ? { name, secret: answer.secret } : null
  copied.value = false
}

async function make() {
  const days = Number(typed.days)
  faults.value = {
    ...(typed.name.trim() ? {} : { name: t('problem.field.empty') }),
    ...(Number.isInteger(days) && days >= 1 && days <= 365 ? {} : { days: t('programs.daysFault') }),
  }
  if (Object.keys(faults.value).length) return
  try {
    const body = { ...typed, days }
    const send = (command: string) => ask(api.POST('/api/tokens', { params: { query: { command } }, body }))
    take(await once('token', body, send), typed.name)
    typed.name = ''
  } catch (cause) {
    faults.value = byField(cause)
  }
}

async function change(token: Token, asked: () => Promise<Schemas['TokensAnswer']>) {
  faults.value = {}
  try {
    take(await asked(), token.name)
  } catch (cause) {
    faults.value = { '': general(cause) }
    await tokens.refetch()
  }
}
const path = (token: Token) => ({ params: { path: { id: token.id } } })
const renew = (token: Token) => change(token, () => ask(api.POST('/api/tokens/{id}/renew', path(token))))
const remove = (token: Token) => change(token, () => ask(api.DELETE('/api/tokens/{id}', path(token))))

async function copy() {
  await navigator.clipboard.writeText(shown.value!.secret)
  copied.value = true
}

const day = (instant: string) => d(new Date(instant), { dateStyle: 'medium' })
</script>

<template>
  <section aria-labelledby="programs">
    <h2 id="programs">{{ t('programs.title') }}</h2>
    <p class="quiet lead">{{ t('programs.lead') }}</p>
    <ProblemNote v-if="tokens.error.value" :problem="tokens.error.value" @retry="tokens.refetch()" />
    <ElSkeleton v-else-if="!tokens.data.value" :rows="2" animated />
    <template v-else>
      <p v-if="!tokens.data.value.tokens.length" class="quiet">{{ t('programs.empty') }}</p>
      <ul>
        <li v-for="token in tokens.data.value.tokens" :key="token.id">
          <b>{{ token.name }}</b>
          <span>{{ t(`role.${token.role}`) }}</span>
          <span class="small" :class="token.lasts ? 'quiet' : 'fault'">
            {{ t(token.lasts ? 'programs.ends' : 'programs.over', { time: day(token.expiresAt) }) }} ·
            {{ token.lastUsedAt ? t('programs.used', { time: day(token.lastUsedAt) }) : t('programs.unused') }}
          </span>
          <span class="acts">
            <ElButton
              link
              type="primary"
              :aria-label="t('programs.renewOf', { name: token.name })"
              @click="renew(token)"
            >
              {{ t('programs.renew') }}
            </ElButton>
            <ElButton
              link
              type="primary"
              :aria-label="t('programs.removeOf', { name: token.name })"
              @click="remove(token)"
            >
              {{ t('programs.remove') }}
            </ElButton>
          </span>
        </li>
      </ul>
      <p v-if="shown" class="secret" role="status">
        {{ t('programs.secret', { name: shown.name }) }}
        <code>{{ shown.secret }}</code>
        <ElButton link type="primary" @click="copy">{{ t('programs.copy') }}</ElButton>
        <span v-if="copied" class="small">{{ t('programs.copied') }}</span>
      </p>
      <form novalidate @submit.prevent="make">
        <FormField v-model="typed.name" :label="t('programs.name')" :fault="faults.name" />
        <PickField
          :model-value="typed.role"
          :label="t('programs.role')"
          :options="roles"
          @update:model-value="typed.role = $event as Schemas['FirmRole']"
        />
        <FormField v-model="typed.days" class="days" :label="t('programs.days')" :fault="faults.days" />
        <ElButton native-type="submit">{{ t('programs.make') }}</ElButton>
      </form>
      <p class="fault" role="alert">{{ faults[''] || faults.role }}</p>
    </template>
  </section>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(160px, 1fr) 120px minmax(220px, auto) auto;
  gap: 4px 20px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
.acts {
  display: flex;
  gap: 14px;
}
.secret {
  border: 1px solid var(--copper);
  border-radius: 8px;
  padding: 12px 16px;
  overflow-wrap: anywhere;
}
code {
  display: block;
  margin: 6px 0;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  align-items: end;
  margin: 14px 0 26px;
}
form .days {
  max-width: 130px;
  min-width: 0;
}
form .field {
  display: grid;
  min-width: 170px;
}
.fault:empty {
  display: none;
}
@media (max-width: 820px) {
  li {
    grid-template-columns: 1fr auto;
  }
  .acts,
  li .small {
    grid-column: 1 / -1;
  }
}
</style>
