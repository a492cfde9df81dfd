<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useHelp } from '../state/help'
import { useReader } from '../state/reader'
import { useSession } from '../state/session'

/** What the bar has no room for on a phone, as a sheet from below: units, light, and signing out. */
defineProps<{ time: string }>()
const emit = defineEmits<{ leave: []; close: [] }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const shown = ref(true)
const help = useHelp()

function showHelp() {
  shown.value = false
  help.shown.value = true
}
</script>

<template>
  <ElDrawer v-model="shown" direction="btt" size="auto" :title="t('app.menu')" append-to-body @closed="emit('close')">
    <p v-if="session.person" class="quiet">
      {{ t('app.signedInAs', { title: session.person.title, firm: session.person.firm }) }}
    </p>
    <p v-if="time" class="quiet">{{ t('app.demoClock', { time }) }}</p>
    <div class="acts">
      <ElButton v-if="help.topic.value" type="primary" @click="showHelp">{{ t('help.open') }}</ElButton>
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
.acts {
  display: grid;
  gap: 10px;
  margin-top: 14px;
}
.acts .el-button {
  width: 100%;
}
</style>
