<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import { useWriting } from '@/i18n/writing'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTyped } from '@/shared/state/typed'
import AppBar from '@/shared/ui/AppBar.vue'
import DataTable from '@/shared/ui/DataTable.vue'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import type { Column } from '@/shared/ui/dataTable'

/** Materials beside foam with their figures: usual ones to start with, the product's own where the firm says so. */
type Material = Schemas['MaterialAnswer']
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const session = useSession()
const mayEdit = computed(() => session.may('price'))
const materials = useQuery({ queryKey: ['materials'], queryFn: () => ask(api.GET('/api/materials')) })
const typed = useTyped({ kind: 'firm', id: 'own' })

const figureOf = (of: Material, name: string) => of.figures.find((one) => one.name === name)
const isOwn = (of: Material) => of.figures.some(({ own }) => own) || of.ownSource !== ''
const usual = (of: Material) =>
  typed.put(Object.fromEntries([...of.figures.map(({ field }) => [field, '']), [of.sourceField, '']]))

// A material of its own takes its figures from one that ships, until its own are typed.
const [NEW, GONE] = ['material-new', 'material-gone']
const called = ref('')
const like = ref('foam-board')
const likes = computed(() =>
  (materials.data.value ?? [])
    .filter((one) => one.id === one.like)
    .map((one) => ({ value: one.id, text: t(`material.${one.id}`) }))
    .sort((a, b) => a.text.localeCompare(b.text)),
)
async function add() {
  if (await typed.put({ [NEW]: `${like.value} | ${called.value.trim()}` })) called.value = ''
}
const remove = (of: Material) => typed.put({ [GONE]: of.id })

const GROUPS = [
  { key: 'sheets', ids: ['foam-board', 'foil-board', 'cover-board', 'vapour-coat', 'weather-coat'] },
  { key: 'paints', ids: ['interior-paint', 'retarder-paint', 'retarder-film'] },
] as const
const groupOf = (of: Material) =>
  of.isBatt ? 'batts' : (GROUPS.find(({ ids }) => ids.some((id) => id === of.like))?.key ?? 'others')
const groups = computed(() =>
  (['sheets', 'paints', 'batts', 'others'] as const).map((key) => ({
    key,
    rows: (materials.data.value ?? []).filter((one) => groupOf(one) === key),
  })),
)
const namesOf = (key: string) =>
  key === 'batts' ? ['thickness', 'rated', 'density'] : ['conductivity', 'permeability', 'density', 'emittance']
const columnsOf = (key: string): Column<Material>[] => [
  { key: 'name', label: t('materials.col.name'), text: ({ id }) => t(`material.${id}`) },
  ...namesOf(key).map((name) => ({ key: name, label: t(`materials.figure.${name}`) })),
  ...(key === 'batts' ? [] : [{ key: 'class', label: t('materials.col.class'), text: classOf }]),
  { key: 'source', label: t('materials.figure.source'), long: true },
  { key: 'off', label: '', onScreenOnly: true },
]
const classOf = ({ vapourClass, permeance, usualThickness }: Material) =>
  vapourClass
    ? t('materials.classAt', {
        class: t(`materials.class.${vapourClass}`),
        permeance: reader.print(permeance),
        thickness: reader.print(usualThickness),
      })
    : '–'
</script>

<template>
  <AppBar :title="t('materials.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('materials.title') }}</h1>
    <p class="quiet lead">{{ t('materials.lead') }}</p>
    <p class="fault" role="alert">{{ typed.notice.value || typed.faults.value[GONE] }}</p>
    <form v-if="mayEdit && materials.data.value" class="new no-print" novalidate @submit.prevent="add">
      <FormField v-model="called" :label="t('materials.name')" maxlength="80" :fault="typed.faults.value[NEW]" />
      <PickField v-model="like" :label="t('materials.like')" :options="likes" />
      <ElButton type="primary" native-type="submit" :disabled="!called.trim()">{{ t('materials.add') }}</ElButton>
    </form>
    <ProblemNote v-if="materials.error.value" :problem="materials.error.value" @retry="materials.refetch()" />
    <ElSkeleton v-else-if="!materials.data.value" :rows="10" animated />
    <template v-else>
      <section v-for="{ key, rows } in groups" :key="key" :class="key">
        <h2>{{ t(`materials.group.${key}`) }}</h2>
        <DataTable
          class="small values"
          :roomy="key !== 'batts'"
          :label="t(`materials.group.${key}`)"
          :columns="columnsOf(key)"
          :rows="rows"
          :by="({ id }) => id"
          :row-class="(one) => (isOwn(one) ? 'own' : '')"
        >
          <template v-for="name in namesOf(key)" :key="name" #[name]="{ row }">
            <TypedField
              v-if="figureOf(row, name)"
              hide-label
              :typed="typed"
              :field="figureOf(row, name)!.field"
              :label="listed([t(`material.${row.id}`), t(`materials.figure.${name}`)])"
              :kept="reader.print(figureOf(row, name)!.own)"
              :hint="reader.print(figureOf(row, name)!.usual) || t('materials.unknown')"
              :disabled="!mayEdit"
            />
          </template>
          <template #source="{ row }">
            <TypedField
              hide-label
              :typed="typed"
              :field="row.sourceField"
              :label="listed([t(`material.${row.id}`), t('materials.figure.source')])"
              :kept="row.ownSource"
              :hint="t('materials.usual')"
              :disabled="!mayEdit"
            />
          </template>
          <template #off="{ row }">
            <ElButton v-if="mayEdit && row.id !== row.like" link type="primary" @click="remove(row)">
              {{ t('materials.remove') }}<span class="visually-hidden"> {{ t(`material.${row.id}`) }}</span>
            </ElButton>
            <ElButton v-else-if="mayEdit && isOwn(row)" link type="primary" @click="usual(row)">
              {{ t('materials.back') }}<span class="visually-hidden"> {{ t(`material.${row.id}`) }}</span>
            </ElButton>
          </template>
        </DataTable>
      </section>
    </template>
  </main>
</template>

<style scoped>
.lead {
  max-width: 75ch;
}
section {
  padding: 12px 0;
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: end;
  margin: 14px 0;
}
.fault:empty {
  display: none;
}
.values :deep(.own) td:first-child {
  box-shadow: inset 4px 0 var(--copper);
}
.values :deep(.el-input__inner) {
  min-width: 0;
}
/* A conductivity has the longest unit, an emittance none. */
section:not(.batts) :deep(td:nth-child(2) .el-input) {
  min-width: 190px;
}
section:not(.batts) :deep(td:nth-child(5) .el-input) {
  max-width: 90px;
}
</style>
