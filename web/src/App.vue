<script setup lang="ts">
import en from 'element-plus/es/locale/lang/en'
import { defineAsyncComponent } from 'vue'
import { useSession } from './shared/state/session'
import { useWorkings } from './shared/state/workings'
import TexturePatterns from './shared/drawing/TexturePatterns.vue'

const SignInAgain = defineAsyncComponent(() => import('./signin/SignInAgain.vue'))
const WorkingsDrawer = defineAsyncComponent(() => import('./shared/ui/WorkingsDrawer.vue'))
const session = useSession()
const workings = useWorkings()
</script>

<template>
  <ElConfigProvider :locale="en">
    <TexturePatterns />
    <RouterView />
    <WorkingsDrawer v-if="workings.trail.length > 0" />
    <SignInAgain v-if="session.expired" />
  </ElConfigProvider>
</template>
