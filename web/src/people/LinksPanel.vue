<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'

/** Links that let somebody in, or let somebody choose a new password. A link is shown once, and opens once. */
type Link = Schemas['LinkAnswer']
type Role = Schemas['FirmRole']
const props = defineProps<{ roles: { value: string; text: string }[] }>()
const { t, d } = useI18n()
const queries = useQueryClient()
const { byField, general } = useProblems()
const links = useQuery({ queryKey: ['links'], queryFn: () => ask(api.GET('/api/people/links')) })

const typed = reactive({ title: '', role: 'crewLead' as Role })
const faults = ref<Record<string, string>>({})
const shown = ref<{ name: string; link: string; day: string } | null>(null)
const copied = ref(false)
const heading = useTemplateRef('heading')
const day = (instant: string) => d(new Date(instant), { dateStyle: 'medium' })
const nameOf = (link: Link) => t(link.personId ? 'links.forPassword' : 'links.invitation', { role: roleOf(link.role) })
const roleOf = (role: Role) => props.roles.find(({ value }) => value === role)?.text ?? ''
const waiting = computed(() => links.data.value?.links ?? [])

// The secret goes no further than this page, and stands behind the # of the address: no server is sent it when it is opened.
function take(answer: Schemas['LinksAnswer'], name = '') {
  queries.setQueryData(['links'], { ...answer, secret: null })
  const link = answer.secret && `${location.origin}/link#${answer.secret}`
  shown.value = link ? { name, link, day: day(answer.links[0]!.expiresAt) } : null
  copied.value = false
}

async function invite() {
  faults.value = typed.title.trim() ? {} : { title: t('problem.field.empty') }
  if (faults.value.title) return
  try {
    const body = { ...typed }
    const send = (command: string) => ask(api.POST('/api/people/links', { params: { query: { command } }, body }))
    take(await once('invitation', body, send), typed.title)
    typed.title = ''
  } catch (cause) {
    faults.value = byField(cause)
  }
}

async function change(asked: () => Promise<Schemas['LinksAnswer']>, name = '') {
  faults.value = {}
  try {
    take(await asked(), name)
  } catch (cause) {
    faults.value = { '': general(cause) }
    await links.refetch()
  }
}
const withdraw = (link: Link) =>
  change(() => ask(api.DELETE('/api/people/links/{id}', { params: { path: { id: link.id } } })))

async function copy() {
  await navigator.clipboard.writeText(shown.value!.link)
  copied.value = true
}

defineExpose({
  /** Makes a link with which somebody chooses a new password. */
  async forPassword({ id, signInName }: Schemas['PersonAnswer']) {
    const send = (command: string) =>
      ask(api.POST('/api/people/{id}/links', { params: { path: { id }, query: { command } } }))
    await change(() => once('passwordLink', id, send), signInName)
    heading.value?.scrollIntoView({ block: 'start' })
  },
})
</script>

<template>
  <section aria-labelledby="links">
    <h2 id="links" ref="heading">{{ t('links.title') }}</h2>
    <p class="quiet lead">{{ t('links.lead') }}</p>
    <form novalidate @submit.prevent="invite">
      <FormField v-model="typed.title" :label="t('links.name')" maxlength="80" :fault="faults.title" />
      <PickField
        :model-value="typed.role"
        :label="t('links.role')"
        :options="roles"
        @update:model-value="typed.role = $event as Role"
      />
      <ElButton native-type="submit" type="primary">{{ t('links.make') }}</ElButton>
    </form>
    <p class="fault" role="alert">{{ faults[''] || faults.role }}</p>
    <p v-if="shown" class="secret" role="status">
      {{ t('links.made', { name: shown.name, day: shown.day }) }}
      <code>{{ shown.link }}</code>
      <ElButton link type="primary" @click="copy">{{ t('links.copy') }}</ElButton>
      <span v-if="copied" class="small">{{ t('links.copied') }}</span>
    </p>
    <ProblemNote v-if="links.error.value" :problem="links.error.value" @retry="links.refetch()" />
    <template v-else-if="waiting.length">
      <h3>{{ t('links.waiting') }}</h3>
      <ul>
        <li v-for="link in waiting" :key="link.id">
          <b>{{ link.name }}</b>
          <span>{{ nameOf(link) }}</span>
          <span class="small" :class="link.lasts ? 'quiet' : 'fault'">
            {{ t(link.lasts ? 'links.expires' : 'links.expired', { day: day(link.expiresAt) }) }} ·
            {{ t('links.madeBy', { by: link.madeBy }) }}
          </span>
          <ElButton
            link
            type="primary"
            :aria-label="t('links.withdrawOf', { name: link.name })"
            @click="withdraw(link)"
          >
            {{ t('links.withdraw') }}
          </ElButton>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
form {
  display: grid;
  grid-template-columns: minmax(200px, 320px) 180px auto;
  gap: 10px 16px;
  align-items: start;
  justify-content: start;
  margin: 10px 0;
}
form .el-button {
  margin-top: 22px;
}
h3 {
  margin-top: 14px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 20px;
}
li {
  display: grid;
  grid-template-columns: minmax(160px, 240px) 200px minmax(200px, 1fr) auto;
  gap: 4px 16px;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--line);
}
.secret {
  padding: 12px 16px;
  border-left: 4px solid var(--copper);
  background: var(--sheet);
}
.secret code {
  display: block;
  margin: 8px 0;
  overflow-wrap: anywhere;
  user-select: all;
}
.fault:empty {
  display: none;
}
@media (max-width: 820px) {
  form,
  li {
    grid-template-columns: 1fr;
  }
  form .el-button {
    margin-top: 0;
  }
}
</style>
