<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import { useWriting } from '@/i18n/writing'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTemplates } from '@/shared/state/survey'
import { useTakeOff } from '@/shared/state/takeOff'
import AppBar from '@/shared/ui/AppBar.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import TemplateFields from './TemplateFields.vue'

/** The firm's own templates: assemblies that surfaces can start from. */
type Template = Schemas['TemplateAnswer']
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const session = useSession()
const queries = useQueryClient()
const templates = useTemplates()
const mayEdit = computed(() => session.may('edit'))
const open = ref<string | null>(null)

const off = useTakeOff(async (id) => {
  await ask(api.DELETE('/api/templates/{id}', { params: { path: { id } } }))
  void queries.invalidateQueries({ queryKey: ['templates'] })
})
const shown = computed(() => (templates.data.value ?? []).filter((one) => !off.gone(one.id)))

const members = ({ memberMaterial, memberDepth, memberSpacing }: Template) =>
  memberDepth
    ? t('templates.members', {
        material: t(`member.${memberMaterial}`),
        depth: reader.print(memberDepth),
        spacing: reader.print(memberSpacing),
      })
    : t('templates.noMembers')
const layers = (of: Template['outboard']) =>
  of.length
    ? listed(
        of.map(({ material, thickness }) =>
          t('templates.layer', { material: t(`material.${material}`), thickness: reader.print(thickness) }),
        ),
      )
    : t('templates.noLayers')
</script>

<template>
  <AppBar :title="t('templates.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('templates.title') }}</h1>
    <p class="quiet lead">{{ t('templates.lead') }}</p>
    <TakenOff :off="off" />
    <ProblemNote v-if="templates.error.value" :problem="templates.error.value" @retry="templates.refetch()" />
    <ElSkeleton v-else-if="!templates.data.value" :rows="6" animated />
    <p v-else-if="!shown.length" class="empty">{{ t('templates.empty') }}</p>
    <article v-for="one in shown" :key="one.id" :aria-label="one.name">
      <header>
        <h2>{{ one.name }}</h2>
        <span class="quiet">{{ t(`kind.${one.kind}`) }}</span>
        <template v-if="mayEdit">
          <ElButton
            link
            type="primary"
            :aria-expanded="open === one.id"
            @click="open = open === one.id ? null : one.id"
          >
            {{ t(open === one.id ? 'templates.close' : 'templates.change')
            }}<span class="visually-hidden"> {{ one.name }}</span>
          </ElButton>
          <ElButton link type="primary" @click="off.takeOff(one.id, one.name)">
            {{ t('templates.remove') }}<span class="visually-hidden"> {{ one.name }}</span>
          </ElButton>
        </template>
      </header>
      <TemplateFields v-if="open === one.id" :template="one" />
      <template v-else>
        <p>{{ members(one) }}</p>
        <p>{{ t('templates.outside', { layers: layers(one.outboard) }) }}</p>
        <p>{{ t('templates.inside', { layers: layers(one.inboard) }) }}</p>
      </template>
    </article>
  </main>
</template>

<style scoped>
.lead {
  max-width: 75ch;
  margin-bottom: 14px;
}
.empty {
  padding: 20px 0;
}
article {
  border-top: 1px solid var(--line);
  padding: 14px 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
}
h2 {
  margin: 0;
}
p {
  margin: 4px 0 0;
}
</style>
