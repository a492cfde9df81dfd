<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { v7 } from 'uuid'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, ask, type Schemas } from '../api/client'
import { useEdits } from '../state/edits'
import { useSession } from '../state/session'
import { useTimesIn } from '../state/times'
import ProblemNote from '../ui/ProblemNote.vue'

/** The sequences of a rig: which were run last, and which is under way. */
type One = Schemas['RigSequence']
const props = defineProps<{ rig: string; job?: string; surface?: string; timeZone?: string | null }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const edits = useEdits()
const times = useTimesIn(() => props.timeZone)
const sequences = useQuery({
  queryKey: ['rigSequences', () => props.rig, () => props.job],
  queryFn: () =>
    ask(
      api.GET('/api/rigs/{id}/sequences', {
        params: { path: { id: props.rig }, query: { job: props.job } },
      }),
    ),
  refetchInterval: 15_000,
})

// What a day begins and ends with comes first; the others are needed now and then.
const DAILY: One['kind'][] = ['workArea', 'dayStart', 'dayEnd']
// A work area is that of a job.
const all = computed(() => (sequences.data.value ?? []).filter(({ kind }) => props.job || kind !== 'workArea'))
const parts = computed(() => [
  { of: 'daily', shown: all.value.filter((one) => DAILY.includes(one.kind) || isUnderWay(one)) },
  { of: 'more', shown: all.value.filter((one) => !DAILY.includes(one.kind) && !isUnderWay(one)) },
])
const isUnderWay = ({ last }: One) => last !== null && last.overAt === null
const opened = ref(false)

const told = ({ last }: One) => {
  if (!last) return t('sequence.list.never')
  if (last.overAt) return t('sequence.list.over', { when: times.time(last.overAt) })
  return t('sequence.list.underWay', {
    done: last.done,
    of: last.of,
    when: times.time(last.begunAt),
    by: last.begunBy,
  })
}
const asked = (one: One) => (isUnderWay(one) ? 'goOn' : one.last ? 'again' : 'begin')

const open = (run: string) => router.push({ name: 'sequenceRun', params: { run }, query: { surface: props.surface } })
const place = ref<{ kind: string; id: string; within?: string }>()
const starting = ref<One['kind']>()

async function go(one: One) {
  if (isUnderWay(one)) return open(one.last!.id)
  starting.value = one.kind
  place.value = { kind: 'sequenceRun', id: `${props.rig}/${v7()}`, within: props.job }
  const outcome = await edits.keep(place.value, { kind: one.kind, job: props.job ?? '' })
  starting.value = undefined
  if (outcome !== 'taken') return
  const { data } = await sequences.refetch()
  const run = data?.find((now) => now.kind === one.kind)?.last?.id
  if (run) await open(run)
}
const fault = computed(() => place.value && edits.faultAt(place.value))
</script>

<template>
  <section class="sequences">
    <h2>{{ t('sequence.list.title') }}</h2>
    <ProblemNote v-if="sequences.error.value" :problem="sequences.error.value" @retry="sequences.refetch()" />
    <ElSkeleton v-else-if="!sequences.data.value" :rows="3" animated />
    <template v-for="part in parts" :key="part.of">
      <ul v-if="part.of === 'daily' || opened">
        <li v-for="one in part.shown" :key="one.kind">
          <span class="name">
            <b>{{ t(`sequence.kind.${one.kind}`) }}</b>
            <span class="small quiet">{{ told(one) }}</span>
          </span>
          <ElButton
            v-if="isUnderWay(one) || session.may('record')"
            :type="isUnderWay(one) ? 'primary' : undefined"
            :disabled="starting !== undefined"
            @click="go(one)"
            >{{ t(`sequence.list.${asked(one)}`)
            }}<span class="visually-hidden"> {{ t(`sequence.kind.${one.kind}`) }}</span></ElButton
          >
        </li>
      </ul>
    </template>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p class="links">
      <ElButton v-if="!opened" link type="primary" :aria-expanded="false" @click="opened = true">{{
        t('sequence.list.more')
      }}</ElButton>
      <RouterLink v-if="session.may('edit')" :to="{ name: 'sequences' }">{{ t('sequence.list.edit') }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.sequences {
  margin-bottom: 20px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 14px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
.name {
  display: grid;
}
.links {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 22px;
}
.links a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>
