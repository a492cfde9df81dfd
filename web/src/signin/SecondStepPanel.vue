<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import FormField from '@/shared/ui/FormField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'

/** The second step of one's own sign-in: set up with a first code, set up anew, or taken away. */
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
const { byField } = useProblems()
const step = useQuery({ queryKey: ['second-step'], queryFn: () => ask(api.GET('/api/session/second-step')) })
const typed = reactive({ password: '', code: '' })
const key = ref<Schemas['SecondStepKey'] | null>(null)
const spares = ref<string[]>([])
const faults = ref<Record<string, string>>({})
const said = ref('')
const busy = ref(false)
const isOn = computed(() => step.data.value?.isSetUp ?? false)
// In groups of four, as it is typed from one screen into another.
const inGroups = computed(() => key.value?.key.match(/.{1,4}/g)?.join(' ') ?? '')

async function send(field: 'password' | 'code', act: () => Promise<void>) {
  said.value = ''
  faults.value = typed[field] ? {} : { [field]: t('problem.field.empty') }
  if (!typed[field]) return
  busy.value = true
  try {
    await act()
    Object.assign(typed, { password: '', code: '' })
  } catch (cause) {
    faults.value = byField(cause)
  } finally {
    busy.value = false
  }
}

const begin = () =>
  send('password', async () => {
    spares.value = []
    key.value = await ask(api.POST('/api/session/second-step', { body: { password: typed.password } }))
  })

const confirm = () =>
  send('code', async () => {
    spares.value = (await ask(api.PUT('/api/session/second-step', { body: { code: typed.code } }))).codes
    key.value = null
    said.value = t('ownAccess.second.done')
    await changed()
  })

const remove = () =>
  send('password', async () => {
    await ask(api.POST('/api/session/second-step/remove', { body: { password: typed.password } }))
    spares.value = []
    said.value = t('ownAccess.second.removed')
    await changed()
  })

async function changed() {
  await step.refetch()
  emit('changed')
}

function cancel() {
  key.value = null
  faults.value = {}
}
</script>

<template>
  <section aria-labelledby="second">
    <h2 id="second">{{ t('ownAccess.second.title') }}</h2>
    <ProblemNote v-if="step.error.value" :problem="step.error.value" @retry="step.refetch()" />
    <ElSkeleton v-else-if="!step.data.value" :rows="3" animated />
    <template v-else>
      <p role="status">{{ said }}</p>
      <template v-if="spares.length">
        <p>{{ t('ownAccess.second.keep') }}</p>
        <ul class="spares">
          <li v-for="spare in spares" :key="spare">{{ spare }}</li>
        </ul>
      </template>
      <form v-if="key" novalidate @submit.prevent="confirm">
        <p>{{ t('ownAccess.second.scan') }}</p>
        <img :src="key.picture" :alt="t('ownAccess.second.picture')" width="180" height="180" />
        <p>
          {{ t('ownAccess.second.key') }}: <a :href="key.link" class="key">{{ inGroups }}</a>
        </p>
        <FormField v-model="typed.code" :label="t('ownAccess.second.code')" code :fault="faults.code" />
        <p class="fault" role="alert">{{ faults[''] }}</p>
        <p class="acts">
          <ElButton type="primary" native-type="submit" :disabled="busy">{{ t('ownAccess.second.confirm') }}</ElButton>
          <ElButton @click="cancel">{{ t('ownAccess.second.cancel') }}</ElButton>
        </p>
      </form>
      <form v-else novalidate @submit.prevent="begin">
        <p v-if="isOn">
          {{ t('ownAccess.second.on') }}
          {{ t('ownAccess.second.spares', { n: step.data.value.sparesLeft }, step.data.value.sparesLeft) }}
          <template v-if="step.data.value.isAsked">{{ t('ownAccess.second.asked') }}</template>
        </p>
        <p v-else class="quiet">{{ t('ownAccess.second.off') }}</p>
        <FormField
          v-model="typed.password"
          :label="t('ownAccess.second.password')"
          secret="current"
          :fault="faults.password"
        />
        <p class="fault" role="alert">{{ faults[''] }}</p>
        <p class="acts">
          <ElButton native-type="submit" :disabled="busy">
            {{ t(isOn ? 'ownAccess.second.again' : 'ownAccess.second.begin') }}
          </ElButton>
          <ElButton v-if="isOn && !step.data.value.isAsked" :disabled="busy" @click="remove">
            {{ t('ownAccess.second.remove') }}
          </ElButton>
        </p>
      </form>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 10px;
}
form {
  display: grid;
  gap: 14px;
  max-width: 420px;
}
img {
  background: #fff;
}
.key {
  color: var(--copper);
  font-weight: 650;
  font-variant-numeric: tabular-nums;
  overflow-wrap: anywhere;
}
.spares {
  list-style: none;
  margin: 8px 0 18px;
  padding: 12px 16px;
  border: 1px solid var(--line);
  columns: 2;
  font-variant-numeric: tabular-nums;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.fault:empty,
[role='status']:empty {
  display: none;
}
</style>
