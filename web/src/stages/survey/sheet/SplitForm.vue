<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, ask } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { inTurn } from '@/shared/keeping/editor'
import { putSurface } from '@/shared/keeping/records/surface'
import type { Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSurveyEdits } from '@/shared/state/survey'
import PickField from '@/shared/ui/PickField.vue'
import FormField from '@/shared/ui/FormField.vue'

/** Cuts the surface in two where depth or system changes. */
const props = defineProps<{ job: string; surface: Surface }>()
const { t } = useI18n()
const router = useRouter()
const { byField } = useProblems()
const survey = useSurveyEdits(() => props.job)
const queries = useQueryClient()
const reader = useReader()

const open = ref(false)
const along = ref<string>(props.surface.cutAlong[0]!)
const parts = computed(() => props.surface.cutAlong.map((value) => ({ value, text: t(`part.${value}`) })))
const at = ref('')
const name = ref('')
const fault = ref('')

async function cut() {
  const { id, version } = props.surface
  const place = { kind: 'surface', id, within: props.job }
  try {
    const fields = {
      along: along.value,
      at: at.value,
      name: name.value || t('survey.sheet.rest', { name: props.surface.name }),
    }
    const second = await inTurn(place, version, (version) =>
      once(`split ${id}`, fields, (command) => {
        const body = { id: command, version, units: reader.units, fields }
        return ask(api.POST('/api/surfaces/{id}/split', { params: { path: { id } }, body }))
      }),
    )
    putSurface(queries, props.job, second)
    await survey.then(Promise.resolve(second))
    open.value = false
    await router.push({ name: 'surfaceSheet', params: { job: props.job, surface: second.id } })
  } catch (cause) {
    fault.value = Object.values(byField(cause))[0] ?? ''
  }
}
</script>

<template>
  <section class="split no-print">
    <ElButton v-if="!open" link type="primary" @click="open = true">{{ t('survey.sheet.split') }}</ElButton>
    <form v-else novalidate @submit.prevent="cut">
      <PickField v-model="along" :label="t('survey.sheet.along')" :options="parts" />
      <FormField v-model="at" name="at" :label="t('survey.sheet.at')" kind="length" autofocus :aria-invalid="!!fault" />
      <FormField
        v-model="name"
        class="wide"
        :label="t('survey.sheet.secondName')"
        :hint="t('survey.sheet.rest', { name: surface.name })"
      />
      <ElButton native-type="submit">{{ t('survey.sheet.cut') }}</ElButton>
      <ElButton link type="primary" @click="open = false">{{ t('app.cancel') }}</ElButton>
      <em class="fault" role="alert">{{ fault }}</em>
    </form>
  </section>
</template>

<style scoped>
.split {
  margin-top: -14px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
.field {
  width: 130px;
}
.wide {
  width: 240px;
}
.fault {
  width: 100%;
  font-style: normal;
}
</style>
