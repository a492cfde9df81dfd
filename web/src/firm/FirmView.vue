<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useFirm } from '@/shared/state/job'
import { useSchools } from '@/shared/figures/schools'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTyped } from '@/shared/state/typed'
import AppBar from '@/shared/ui/AppBar.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import FirmNav from './FirmNav.vue'

/** What the firm pays, how fast it works, and the school it follows. */
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const firm = useFirm()
const mayEdit = computed(() => session.may('price'))
const rates = computed(() => firm.data.value?.rates ?? null)

const typed = useTyped({ kind: 'firm', id: 'own' })

// Blank goes by the rules, whose figure then stands in the field.
const byRules = ({ margin, ofRules, isGreatest }: Schemas['MarginAnswer']) =>
  margin === 'greatestHumidityPct'
    ? t('firm.rulesSheet')
    : t(isGreatest ? 'firm.rulesMost' : 'firm.rulesLeast', { figure: reader.typed(ofRules) })
const material = (id: string) => t(`material.${id}`)
const schoolsOf = useSchools()
const schools = (question: string) => [
  { value: '', text: t('firm.none') },
  { value: 'either', text: t('firm.either') },
  ...schoolsOf(question),
]
const pascal = (word: string) => word.charAt(0).toUpperCase() + word.slice(1)
</script>

<template>
  <AppBar :title="t('firm.title')" />
  <main id="work" class="firm-page">
    <FirmNav />
    <h1>{{ t('firm.title') }}</h1>
    <ProblemNote v-if="firm.error.value" :problem="firm.error.value" @retry="firm.refetch()" />
    <ElSkeleton v-else-if="!firm.data.value" :rows="8" animated />
    <template v-else>
      <p class="quiet">{{ t('firm.lead', { firm: firm.data.value.name }) }} {{ t('firm.kept') }}</p>
      <p class="fault" role="alert">{{ typed.notice.value }}</p>
      <section>
        <h2>{{ t('firm.papers') }}</h2>
        <div class="fields">
          <TypedField
            :typed="typed"
            field="name"
            :label="t('firm.name')"
            :kept="firm.data.value.name"
            :disabled="!mayEdit"
          />
          <TypedField
            :typed="typed"
            field="currency"
            :label="t('firm.currency')"
            :kept="firm.data.value.currency"
            :hint="t('firm.currencyHint')"
            :disabled="!mayEdit"
          />
        </div>
      </section>
      <section>
        <h2>{{ t('firm.practice') }}</h2>
        <div class="fields">
          <TypedField
            v-for="(school, question) in firm.data.value.practice"
            :key="question"
            :typed="typed"
            :field="`practice${pascal(question)}`"
            :label="t(`choose.question.${question}.t`)"
            :kept="school"
            :options="schools(question)"
            :disabled="!mayEdit"
          />
        </div>
      </section>
      <section>
        <h2>{{ t('firm.margins') }}</h2>
        <p class="quiet">{{ t('firm.marginsLead') }}</p>
        <div class="fields">
          <TypedField
            v-for="margin in firm.data.value.margins"
            :key="margin.field"
            :typed="typed"
            :field="margin.field"
            :label="t(`firm.margin.${margin.margin}`)"
            :kept="reader.typed(margin.held)"
            :hint="byRules(margin)"
            :disabled="!mayEdit"
          />
        </div>
      </section>
      <template v-if="rates">
        <section>
          <h2>{{ t('firm.sets') }}</h2>
          <div class="fields">
            <TypedField
              v-for="rate in rates.sets"
              :key="rate.field"
              :typed="typed"
              :field="rate.field"
              :label="rate.name"
              :kept="reader.typed(rate.figure)"
              :disabled="!mayEdit"
            />
          </div>
        </section>
        <section>
          <h2>{{ t('firm.work') }}</h2>
          <i18n-t keypath="firm.meansNote" tag="p" class="quiet" scope="global">
            <template #page
              ><RouterLink class="act" :to="{ name: 'means' }">{{ t('firm.page.means') }}</RouterLink></template
            >
          </i18n-t>
          <div class="fields">
            <TypedField
              v-for="rate in rates.work"
              :key="rate.field"
              :typed="typed"
              :field="rate.field"
              :label="t(`firm.rate.${rate.field}`)"
              :kept="reader.typed(rate.figure)"
              :disabled="!mayEdit"
            />
          </div>
        </section>
        <section>
          <TypedField
            :typed="typed"
            field="profitIsMarkup"
            :label="t('firm.profitIs')"
            :kept="rates.profitIsMarkup ? 'yes' : 'no'"
            :options="[
              { value: 'no', text: t('firm.profitMargin') },
              { value: 'yes', text: t('firm.profitMarkup') },
            ]"
            :disabled="!mayEdit"
          />
        </section>
        <section>
          <h2>{{ t('firm.materials') }}</h2>
          <div class="fields">
            <TypedField
              v-for="rate in rates.materials"
              :key="rate.field"
              :typed="typed"
              :field="rate.field"
              :label="material(rate.name)"
              :kept="reader.typed(rate.figure)"
              :disabled="!mayEdit"
            />
          </div>
        </section>
      </template>
      <p v-else class="quiet">{{ t('firm.ratesNotYours') }}</p>
    </template>
  </main>
</template>

<style scoped>
section {
  margin-top: 22px;
}
.fault:empty {
  display: none;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 10px 18px;
  align-items: start;
}
</style>
