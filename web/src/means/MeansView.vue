<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useEdits } from '@/shared/state/edits'
import { useMaterialRefresh, useMeans } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import RigSequences from '@/shared/sequences/RigSequences.vue'
import { useTakeOff } from '@/shared/state/takeOff'
import { useHours } from '@/shared/state/times'
import AppBar from '@/shared/ui/AppBar.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import MeansForm from './MeansForm.vue'

/** What the firm goes out with: crews, rigs, heaters and the rest, each kind with what is known of it. */
type Means = Schemas['MeansAnswer']
type Kind = Schemas['MeansKindAnswer']
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const means = useMeans()
const refresh = useMaterialRefresh()
const edits = useEdits()
const mayEdit = computed(() => session.may('edit'))
/** What is open: a means by its id, or the form for one more of a kind. */
const open = ref<string | null>(null)

const take = (book?: unknown) => refresh(['means'], book)
const off = useTakeOff(async (id) => take(await ask(api.DELETE('/api/means/{id}', { params: { path: { id } } }))))
const all = computed(() => (means.data.value?.all ?? []).filter((one) => !off.gone(one.id)))
const of = ({ kind }: Kind) => all.value.filter((one) => one.kind === kind)
const crews = computed(() => all.value.filter((one) => one.kind === 'crew'))
const hours = useHours()
const crewOf = ({ crew }: Means) => crews.value.find((one) => one.id === crew)?.name

function done(book?: Schemas['MeansBook']) {
  open.value = null
  take(book)
}

const placeOf = ({ id }: Means) => ({ kind: 'means', id })
const retire = (one: Means, retired: 'yes' | 'no') => edits.keep(placeOf(one), { retired })

/** What is known of one, in the order it is asked. */
function known(kind: Kind, one: Means) {
  const goesWith = crewOf(one)
  const told = kind.entries.map(({ name, type }) => {
    const word = one.words[name]
    const text =
      word && type === 'choice' ? t(`means.word.${name}.${word}`) : word && type === 'time' ? hours(word) : word
    return { name, text: text ?? reader.typed(one.figures[name]) }
  })
  return [...(goesWith ? [{ name: 'crew', text: goesWith }] : []), ...told].filter((entry) => entry.text)
}
</script>

<template>
  <AppBar :title="t('means.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('means.title') }}</h1>
    <p class="quiet lead">{{ t('means.lead') }}</p>
    <p v-if="!session.may('price')" class="quiet">{{ t('means.ratesNotYours') }}</p>
    <TakenOff :off="off" />
    <ProblemNote v-if="means.error.value" :problem="means.error.value" @retry="means.refetch()" />
    <ElSkeleton v-else-if="!means.data.value" :rows="8" animated />
    <section v-for="kind in means.data.value?.kinds" :key="kind.kind" :aria-label="t(`means.kind.${kind.kind}.title`)">
      <header>
        <h2>{{ t(`means.kind.${kind.kind}.title`) }}</h2>
        <ElButton v-if="mayEdit && open !== kind.kind" @click="open = kind.kind">
          {{ t(`means.kind.${kind.kind}.add`) }}
        </ElButton>
      </header>
      <MeansForm v-if="open === kind.kind" :kind="kind" :crews="crews" @done="done" @cancel="open = null" />
      <p v-if="!of(kind).length" class="quiet">{{ t(`means.kind.${kind.kind}.none`) }}</p>
      <article v-for="one in of(kind)" :key="one.id" :class="{ out: one.retired }" :aria-label="one.name">
        <div class="line">
          <h3>{{ one.name }}</h3>
          <span v-if="one.retired" class="quiet">{{ t('means.retired') }}</span>
          <span v-if="kind.kind === 'crew'" class="quiet small">{{ t('means.jobs', one.jobs) }}</span>
          <template v-if="mayEdit">
            <ElButton link type="primary" @click="open = open === one.id ? null : one.id">
              {{ t('means.change') }}<span class="visually-hidden"> {{ one.name }}</span>
            </ElButton>
            <ElButton link type="primary" @click="retire(one, one.retired ? 'no' : 'yes')">
              {{ t(one.retired ? 'means.use' : 'means.retire') }}<span class="visually-hidden"> {{ one.name }}</span>
            </ElButton>
            <ElButton v-if="!one.jobs" link type="primary" @click="off.takeOff(one.id, one.name)">
              {{ t('means.remove') }}<span class="visually-hidden"> {{ one.name }}</span>
            </ElButton>
          </template>
        </div>
        <p v-if="edits.faultAt(placeOf(one)) && open !== one.id" class="fault" role="alert">
          {{ edits.faultAt(placeOf(one)) }}
        </p>
        <MeansForm v-if="open === one.id" :kind="kind" :crews="crews" :means="one" @done="done" @cancel="open = null" />
        <dl v-else>
          <div v-for="entry in known(kind, one)" :key="entry.name" :class="{ wide: entry.name === 'note' }">
            <dt class="quiet small">{{ t(`means.entry.${entry.name}`) }}</dt>
            <dd>{{ entry.text }}</dd>
          </div>
        </dl>
        <RigSequences v-if="kind.kind === 'rig' && !one.retired" :rig="one.id" />
      </article>
    </section>
  </main>
</template>

<style scoped>
.lead {
  margin-bottom: 14px;
  max-width: 75ch;
}
section {
  border-top: 1px solid var(--line);
  padding: 14px 0;
}
section > header,
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
}
h2,
h3 {
  margin: 0;
}
article {
  padding: 8px 0;
}
.out h3 {
  text-decoration: line-through;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 18px;
  margin: 4px 0 0;
}
dd {
  margin: 0;
}
.wide {
  grid-column: 1 / -1;
}
</style>
