<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useSession } from '@/shared/state/session'
import AppBar from '@/shared/ui/AppBar.vue'
import FormField from '@/shared/ui/FormField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import SecondStepPanel from './SecondStepPanel.vue'
import { whereTo } from './whereTo'

/** One's own sign-in: the password, the second step, and the devices one is signed in on. What has to be done about it before anything
 * else is asked for here, and then one goes on to where one was going. */
const { t, d } = useI18n()
const session = useSession()
const queries = useQueryClient()
const [route, router] = [useRoute(), useRouter()]
const { byField, general } = useProblems()
const devices = useQuery({ queryKey: ['devices'], queryFn: () => ask(api.GET('/api/session/devices')) })

const typed = reactive({ current: '', next: '' })
const faults = ref<Record<string, string>>({})
const said = ref('')
const busy = ref(false)

async function changePassword() {
  said.value = ''
  faults.value = {}
  for (const field of ['current', 'next'] as const)
    if (!typed[field]) faults.value = { ...faults.value, [field]: t('problem.field.empty') }
  if (Object.keys(faults.value).length) return
  busy.value = true
  try {
    await ask(api.PUT('/api/session/password', { body: { ...typed } }))
    Object.assign(typed, { current: '', next: '' })
    said.value = t('ownAccess.changed')
    await Promise.all([devices.refetch(), goOn()])
  } catch (cause) {
    faults.value = byField(cause)
  } finally {
    busy.value = false
  }
}

const called = ref(session.person?.title ?? '')
const [nameFault, nameSaid] = [ref(''), ref('')]
async function saveName() {
  nameSaid.value = nameFault.value = ''
  try {
    await ask(api.PUT('/api/session/name', { body: { title: called.value } }))
    await session.find()
    called.value = session.person?.title ?? ''
    nameSaid.value = t('ownAccess.nameSaved', { name: called.value })
  } catch (cause) {
    const told = byField(cause)
    nameFault.value = told.title ?? told[''] ?? ''
  }
}

// Only where there was something to do first: whoever came by themselves stays.
async function goOn() {
  if (!session.person?.task || (await session.find())?.task) return
  await router.replace(whereTo(route))
}

async function secondStepChanged() {
  await devices.refetch()
  // Spare codes are shown this one time: nobody is led away from them.
  if (session.person?.task) await session.find()
}

const others = ref('')
async function endOthers() {
  others.value = ''
  try {
    queries.setQueryData(['devices'], await ask(api.DELETE('/api/session/devices')))
    others.value = t('ownAccess.ended')
  } catch (cause) {
    others.value = general(cause)
  }
}

async function endOne({ id }: Schemas['DeviceAnswer']) {
  others.value = ''
  try {
    queries.setQueryData(['devices'], await ask(api.DELETE('/api/session/devices/{id}', { params: { path: { id } } })))
  } catch (cause) {
    others.value = general(cause)
    await devices.refetch()
  }
}

const at = (instant: string) => d(new Date(instant), { dateStyle: 'medium', timeStyle: 'short' })
const named = (one: Schemas['DeviceAnswer']) => one.device || t('ownAccess.unknown')
</script>

<template>
  <AppBar :title="t('ownAccess.title')" />
  <main id="work" class="firm-page">
    <h1>{{ t('ownAccess.title') }}</h1>
    <p v-if="session.person" class="quiet">
      {{ t('app.signedInAs', { title: session.person.title, firm: session.person.firm }) }} ·
      {{ session.person.signInName }}
    </p>
    <p v-if="session.person?.task" class="task" role="alert">{{ t(`ownAccess.task.${session.person.task}`) }}</p>
    <p v-else-if="route.query.to" class="task">
      {{ t('ownAccess.ready') }} <RouterLink class="act" :to="whereTo(route)">{{ t('ownAccess.goOn') }}</RouterLink>
    </p>
    <div class="two">
      <section aria-labelledby="password">
        <h2 id="password">{{ t('ownAccess.password') }}</h2>
        <form novalidate @submit.prevent="changePassword">
          <input type="hidden" autocomplete="username" :value="session.person?.signInName" />
          <FormField v-model="typed.current" :label="t('ownAccess.current')" secret="current" :fault="faults.current" />
          <FormField v-model="typed.next" :label="t('ownAccess.next')" secret="new" :fault="faults.next" />
          <p class="small quiet">{{ t('ownAccess.hint') }}</p>
          <p class="fault" role="alert">{{ faults[''] }}</p>
          <ElButton type="primary" native-type="submit" :disabled="busy">{{ t('ownAccess.change') }}</ElButton>
          <p role="status">{{ said }}</p>
        </form>
      </section>
      <SecondStepPanel @changed="secondStepChanged" />
      <section aria-labelledby="devices">
        <h2 id="devices">{{ t('ownAccess.devices') }}</h2>
        <ProblemNote v-if="devices.error.value" :problem="devices.error.value" @retry="devices.refetch()" />
        <ElSkeleton v-else-if="!devices.data.value" :rows="3" animated />
        <template v-else>
          <ul class="devices">
            <li v-for="one in devices.data.value" :key="one.id">
              <b>{{ named(one) }}</b>
              <span v-if="one.isThis" class="tag">{{ t('ownAccess.this') }}</span>
              <span class="small quiet">
                {{ t('ownAccess.since', { time: at(one.startedAt) }) }} ·
                {{ t('ownAccess.seen', { time: at(one.seenAt) }) }}
              </span>
              <ElButton
                v-if="!one.isThis"
                link
                type="primary"
                :aria-label="t('ownAccess.endOneOf', { device: named(one), time: at(one.startedAt) })"
                @click="endOne(one)"
              >
                {{ t('ownAccess.endOne') }}
              </ElButton>
            </li>
          </ul>
          <ElButton v-if="devices.data.value.length > 1" @click="endOthers">
            {{ t('ownAccess.endOthers') }}
          </ElButton>
          <p v-else-if="!others" class="quiet">{{ t('ownAccess.alone') }}</p>
          <p role="status">{{ others }}</p>
        </template>
      </section>
      <section v-if="!session.person?.task" aria-labelledby="name">
        <h2 id="name">{{ t('ownAccess.name') }}</h2>
        <form novalidate @submit.prevent="saveName">
          <FormField v-model="called" :label="t('ownAccess.called')" maxlength="80" :fault="nameFault" />
          <ElButton native-type="submit" :disabled="called === session.person?.title">
            {{ t('ownAccess.saveName') }}
          </ElButton>
          <p role="status">{{ nameSaid }}</p>
        </form>
      </section>
    </div>
  </main>
</template>

<style scoped>
.two {
  margin-top: 18px;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(320px, 100%), 1fr));
  gap: 18px 48px;
}
h2 {
  margin-bottom: 10px;
}
form {
  display: grid;
  gap: 14px;
  justify-items: stretch;
  max-width: 380px;
}
.task {
  margin-top: 14px;
  padding: 12px 16px;
  border-left: 4px solid var(--copper);
  background: var(--sheet);
  font-weight: 650;
}
.devices {
  list-style: none;
  padding: 0;
  margin: 0 0 14px;
}
.devices li {
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
}
.devices .small {
  flex-basis: 100%;
}
.tag {
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 0 8px;
  font-size: var(--text-s);
}
.fault:empty,
[role='status']:empty {
  display: none;
}
</style>
