<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import { api, ask } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTakeOff } from '@/shared/state/takeOff'
import AppBar from '@/shared/ui/AppBar.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import TargetTable from './TargetTable.vue'
import FormField from '@/shared/ui/FormField.vue'

/** Target sets: those that ship, by edition, and the firm's own, made from one of them and changed figure by figure. */
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const queries = useQueryClient()
const { byField, general } = useProblems()
const sets = useQuery({ queryKey: ['targetSets'], queryFn: () => ask(api.GET('/api/target-sets')) })
const mayEdit = computed(() => session.may('edit'))
const from = ref('')
const name = ref('')
const fault = ref('')
const standing = computed(() =>
  (sets.data.value ?? []).map((set, i) => ({ value: i === 0 ? '' : set.id, text: set.edition })),
)

function refresh() {
  for (const key of ['targetSets', 'choices', 'job', 'surface']) void queries.invalidateQueries({ queryKey: [key] })
}

async function add() {
  fault.value = ''
  try {
    const fields = { name: name.value, basedOn: from.value || (sets.data.value?.[0]?.id ?? '') }
    await once('targets', fields, (id) =>
      ask(api.POST('/api/target-sets', { body: { id, version: null, units: reader.units, fields } })),
    )
    name.value = ''
    refresh()
  } catch (cause) {
    fault.value = Object.values(byField(cause))[0] ?? general(cause)
  }
}

const off = useTakeOff(async (id) => {
  await ask(api.DELETE('/api/target-sets/{id}', { params: { path: { id } } }))
  refresh()
})
const shown = computed(() => (sets.data.value ?? []).filter((set) => !off.gone(set.id)))
</script>

<template>
  <AppBar :title="t('targets.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('targets.title') }}</h1>
    <p class="quiet lead">{{ t('targets.lead') }}</p>
    <form v-if="mayEdit" class="new" @submit.prevent="add">
      <FormField v-model="name" :label="t('targets.name')" :aria-invalid="!!fault" aria-describedby="target-fault" />
      <PickField v-model="from" :label="t('targets.from')" :options="standing" />
      <ElButton type="primary" native-type="submit" :disabled="!sets.data.value">{{ t('targets.add') }}</ElButton>
      <p id="target-fault" class="fault" role="alert">{{ fault }}</p>
    </form>
    <TakenOff :off="off" />
    <ProblemNote v-if="sets.error.value" :problem="sets.error.value" @retry="sets.refetch()" />
    <ElSkeleton v-else-if="!sets.data.value" :rows="8" animated />
    <TargetTable
      v-for="set in shown"
      :key="set.id"
      :set="set"
      :may-edit="mayEdit && set.own"
      @remove="off.takeOff(set.id, set.edition)"
    />
  </main>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
.new {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 10px 18px;
  align-items: end;
  margin: 14px 0;
}
.new .fault {
  grid-column: 1 / -1;
}
.fault:empty {
  display: none;
}
@media (width <= 700px) {
  .new {
    grid-template-columns: 1fr;
  }
}
</style>
