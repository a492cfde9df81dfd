<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useHelp } from '../state/help'
import { useUpright } from '../state/narrow'
import { useFirmPages } from '../state/pages'
import { useReader } from '../state/reader'
import { useSession } from '../state/session'

/** The ways to all pages; where the bar has no room for them also units, light, and signing out. On a phone it comes from below. */
defineProps<{ time: string }>()
const emit = defineEmits<{ search: []; leave: []; close: [] }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const shown = ref(true)
const help = useHelp()
const isUpright = useUpright()
const pages = useFirmPages()

function showHelp() {
  shown.value = false
  help.shown.value = true
}
function toSearch() {
  shown.value = false
  emit('search')
}
</script>

<template>
  <ElDrawer
    v-model="shown"
    :direction="isUpright ? 'btt' : 'rtl'"
    :size="isUpright ? 'auto' : 'min(320px, 94vw)'"
    :title="t('app.menu')"
    append-to-body
    @closed="emit('close')"
  >
    <p v-if="session.person" class="quiet">
      {{ t('app.signedInAs', { title: session.person.title, firm: session.person.firm }) }}
    </p>
    <p v-if="time && isUpright" class="quiet">{{ t('app.demoClock', { time }) }}</p>
    <nav v-if="session.person" :aria-label="t('app.pages')">
      <RouterLink :to="{ name: 'jobs' }" @click="shown = false">{{ t('jobs.title') }}</RouterLink>
      <RouterLink :to="{ name: 'pocket.dew' }" @click="shown = false">{{ t('pocket.title') }}</RouterLink>
      <RouterLink v-for="page in pages" :key="page" :to="{ name: page }" @click="shown = false">
        {{ t(`firm.page.${page}`) }}
      </RouterLink>
      <RouterLink :to="{ name: 'ownAccess' }" @click="shown = false">{{ t('ownAccess.open') }}</RouterLink>
    </nav>
    <div v-if="isUpright" class="acts">
      <ElButton v-if="session.person" type="primary" @click="toSearch">{{ t('search.open') }}</ElButton>
      <ElButton v-if="help.topic.value" @click="showHelp">{{ t('app.help') }}</ElButton>
      <ElButton
        :aria-label="t('app.units.switch', { now: t(`app.units.${reader.units}`) })"
        @click="reader.switchUnits()"
      >
        {{ t('app.units.now', { units: t(`app.units.${reader.units}`) }) }}
      </ElButton>
      <ElButton
        :aria-label="t('app.theme.switch', { now: t(`app.theme.${reader.theme}`) })"
        @click="reader.switchTheme()"
      >
        {{ t('app.theme.now', { theme: t(`app.theme.${reader.theme}`) }) }}
      </ElButton>
      <ElButton v-if="session.person" @click="emit('leave')">{{ t('app.signOut') }}</ElButton>
    </div>
  </ElDrawer>
</template>

<style scoped>
nav {
  display: grid;
  margin: 10px 0;
}
nav a {
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 10px;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  text-decoration: none;
}
@media (max-width: 900px) {
  nav {
    grid-template-columns: 1fr 1fr;
    column-gap: 12px;
  }
}
nav a:hover {
  background: var(--in-hand);
}
nav a.router-link-exact-active {
  box-shadow: inset 4px 0 var(--copper);
  font-weight: 650;
}
.acts {
  display: grid;
  gap: 10px;
  margin-top: 14px;
}
.acts .el-button {
  width: 100%;
}
</style>
