<script setup lang="ts">
import en from 'element-plus/es/locale/lang/en'
import { defineAsyncComponent, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useSession } from './shared/state/session'
import { useWorkings } from './shared/state/workings'
import TexturePatterns from './shared/drawing/TexturePatterns.vue'

const SignInAgain = defineAsyncComponent(() => import('./signin/SignInAgain.vue'))
const WorkingsDrawer = defineAsyncComponent(() => import('./shared/ui/WorkingsDrawer.vue'))
// Only where fingers type.
const KeyStrip = defineAsyncComponent(() => import('./shared/typing/KeyStrip.vue'))
const byFinger = window.matchMedia?.('(pointer: coarse)').matches
const session = useSession()
const workings = useWorkings()

// Asked for while somebody was away from their page: they are led to it once they are back, and from there to where they were.
const router = useRouter()
watch(
  () => session.person?.task,
  (task) => {
    const { fullPath, meta } = router.currentRoute.value
    if (task && !meta.open) void router.push({ name: 'ownAccess', query: { to: fullPath } })
  },
)
</script>

<template>
  <ElConfigProvider :locale="en">
    <TexturePatterns />
    <RouterView />
    <WorkingsDrawer v-if="workings.trail.length > 0" />
    <KeyStrip v-if="byFinger" />
    <SignInAgain v-if="session.expired" />
  </ElConfigProvider>
</template>
