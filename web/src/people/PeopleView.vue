<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useSession } from '@/shared/state/session'
import AppBar from '@/shared/ui/AppBar.vue'
import DataTable from '@/shared/ui/DataTable.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import type { Column } from '@/shared/ui/dataTable'
import LinksPanel from './LinksPanel.vue'
import ProgramsPanel from './ProgramsPanel.vue'
import SecurityBook from './SecurityBook.vue'

/** Who is in the firm and what each may do: for its owners. */
type Person = Schemas['PersonAnswer']
type Role = Schemas['FirmRole']
type CodesFor = Schemas['CodesFor']
const { t, d } = useI18n()
const session = useSession()
const queries = useQueryClient()
const { general } = useProblems()
const people = useQuery({ queryKey: ['people'], queryFn: () => ask(api.GET('/api/people')) })
const fault = ref('')
const busy = ref('')

async function change(person: Person, asked: () => Promise<Schemas['PeopleAnswer']>) {
  fault.value = ''
  busy.value = person.id
  try {
    queries.setQueryData(['people'], await asked())
  } catch (cause) {
    fault.value = general(cause)
    await people.refetch()
  } finally {
    busy.value = ''
  }
}

const setRole = (person: Person, role: Role) =>
  change(person, () => ask(api.PUT('/api/people/{id}/role', { params: { path: { id: person.id } }, body: { role } })))
const setActive = (person: Person, isActive: boolean) =>
  change(person, () =>
    ask(api.PUT('/api/people/{id}/active', { params: { path: { id: person.id } }, body: { isActive } })),
  )

const removeCode = (person: Person) =>
  change(person, async () => {
    await ask(api.DELETE('/api/people/{id}/second-step', { params: { path: { id: person.id } } }))
    return ask(api.GET('/api/people'))
  })

const links = useTemplateRef('links')

const CODES: CodesFor[] = ['whoWants', 'whoPrices', 'everybody']
const codesFor = computed(() => CODES.map((value) => ({ value, text: t(`people.codesFor.${value}`) })))
async function askCodes(of: CodesFor) {
  fault.value = ''
  try {
    queries.setQueryData(['people'], await ask(api.PUT('/api/people/codes', { body: { of } })))
  } catch (cause) {
    fault.value = general(cause)
  }
}

const erase = (person: Person) =>
  change(person, () => ask(api.POST('/api/people/{id}/erase', { params: { path: { id: person.id } } })))

// As the server orders them, from the one who may most.
const roles: Role[] = ['owner', 'estimator', 'crewLead', 'helper', 'viewer']
const rolesToPick = computed(() => roles.map((value) => ({ value, text: t(`role.${value}`) })))
const seen = (person: Person) =>
  person.seenAt
    ? t('people.seen', { time: d(new Date(person.seenAt), { dateStyle: 'medium', timeStyle: 'short' }) })
    : ''
const mayDo = computed(() =>
  (people.data.value?.roles.owner ?? []).map((right) => ({
    right,
    roles: roles.filter((role) => people.data.value?.roles[role]?.includes(right)),
  })),
)
const columns = computed((): Column<(typeof mayDo.value)[number]>[] => [
  { key: 'right', label: '', text: (row) => t(`right.${row.right}`) },
  ...roles.map((role) => ({ key: role, label: t(`role.${role}`) })),
])
</script>

<template>
  <AppBar :title="t('people.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('people.title') }}</h1>
    <p class="quiet lead">{{ t('people.lead') }}</p>
    <ProblemNote v-if="people.error.value" :problem="people.error.value" @retry="people.refetch()" />
    <ElSkeleton v-else-if="!people.data.value" :rows="6" animated />
    <template v-else>
      <p class="fault" role="alert">{{ fault }}</p>
      <div class="codes">
        <span>{{ t('people.codes') }}</span>
        <PickOne
          class="of"
          :model-value="people.data.value.codesFor"
          :label="t('people.codes')"
          :options="codesFor"
          @update:model-value="askCodes($event as CodesFor)"
        />
        <span class="small quiet">{{ t('people.codesLead') }}</span>
      </div>
      <ul class="people">
        <li v-for="person in people.data.value.people" :key="person.id" :class="{ out: !person.isActive }">
          <div class="who">
            <b>{{ person.title }}</b>
            <span v-if="person.id === session.person?.id" class="tag">{{ t('people.you') }}</span>
            <span v-if="person.hasSecondStep" class="tag">{{ t('people.hasCode') }}</span>
            <span class="small quiet">{{ person.isErased ? t('people.erased') : person.signInName }}</span>
          </div>
          <PickOne
            class="role"
            :model-value="person.role"
            :label="t('people.roleOf', { name: person.signInName })"
            :options="rolesToPick"
            :disabled="busy === person.id || person.isErased"
            @update:model-value="setRole(person, $event as Role)"
          />
          <ElSwitch
            :model-value="person.isActive"
            size="large"
            :loading="busy === person.id"
            :disabled="person.isErased"
            :active-text="t('people.active')"
            :aria-label="t('people.activeOf', { name: person.signInName })"
            @change="setActive(person, $event === true)"
          />
          <span class="small quiet">
            {{ t('people.devices') }} {{ t('people.count', { n: person.sessions }, person.sessions) }}<br />{{
              seen(person)
            }}
          </span>
          <span v-if="person.isActive && person.id !== session.person?.id" class="acts">
            <ElPopconfirm
              :title="t('links.passwordAsk', { name: person.signInName })"
              :confirm-button-text="t('links.make')"
              :cancel-button-text="t('app.cancel')"
              width="320"
              @confirm="links?.forPassword(person)"
            >
              <template #reference>
                <ElButton link type="primary">{{ t('links.password') }}</ElButton>
              </template>
            </ElPopconfirm>
            <ElPopconfirm
              v-if="person.hasSecondStep"
              :title="t('people.removeCodeAsk', { name: person.signInName })"
              :confirm-button-text="t('people.removeCode')"
              :cancel-button-text="t('app.cancel')"
              width="320"
              @confirm="removeCode(person)"
            >
              <template #reference>
                <ElButton link type="primary">{{ t('people.removeCode') }}</ElButton>
              </template>
            </ElPopconfirm>
          </span>
          <span v-if="!person.isActive && !person.isErased" class="acts">
            <a class="act" :href="`/api/people/${person.id}/export`" download>{{ t('people.export') }}</a>
            <ElPopconfirm
              :title="t('people.eraseAsk', { name: person.signInName })"
              :confirm-button-text="t('people.erase')"
              :cancel-button-text="t('app.cancel')"
              width="300"
              @confirm="erase(person)"
            >
              <template #reference>
                <ElButton link type="primary">{{ t('people.erase') }}</ElButton>
              </template>
            </ElPopconfirm>
          </span>
        </li>
      </ul>
      <LinksPanel ref="links" :roles="rolesToPick" />
      <ProgramsPanel />
      <SecurityBook />
      <h2>{{ t('people.rights') }}</h2>
      <DataTable :label="t('people.rights')" :columns="columns" :rows="mayDo" :by="(row) => row.right">
        <template v-for="role in roles" :key="role" #[role]="{ row }">
          <span v-if="row.roles.includes(role)" :aria-label="t('people.may')" role="img">●</span>
          <span v-else class="quiet" :aria-label="t('people.mayNot')" role="img">–</span>
        </template>
      </DataTable>
    </template>
  </main>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
.codes {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin-top: 16px;
}
.codes .of {
  width: 260px;
}
.people {
  list-style: none;
  margin: 12px 0 28px;
  padding: 0;
}
.people li {
  display: grid;
  grid-template-columns: minmax(200px, 1fr) 180px 190px 250px;
  gap: 8px 20px;
  align-items: center;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
.people li.out .who {
  opacity: 0.65;
}
.who {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
}
.who .small {
  flex-basis: 100%;
}
.tag {
  border: 1px solid var(--line-2, var(--line));
  border-radius: 10px;
  padding: 0 8px;
  font-size: var(--text-s);
}
.acts {
  grid-column: 1 / -1;
  display: flex;
  gap: 16px;
}
@media (max-width: 820px) {
  .people li {
    grid-template-columns: 1fr 1fr;
  }
  .who,
  .people li > span:last-child {
    grid-column: 1 / -1;
  }
}
</style>
