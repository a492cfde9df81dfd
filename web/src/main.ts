import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/bricolage-grotesque'
import 'element-plus/theme-chalk/dark/css-vars.css'
import './shared/theme.css'
import './shared/controls.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { i18n } from './i18n'
import { fetchPages, router } from './router'
import { isNoAnswer } from './shared/api/client'
import { keepWith, sendByItself } from './shared/keeping/editor'
import './shared/keeping/records'
import { answersOf } from './shared/state/answers'

const queryClient = answersOf({
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      // What the server refuses it refuses again; only a lost connection is worth another try.
      retry: (count, cause) => count < 2 && isNoAnswer(cause),
    },
  },
})

keepWith(queryClient)
sendByItself()
createApp(App).use(createPinia()).use(i18n).use(VueQueryPlugin, { queryClient }).use(router).mount('#app')
void router.isReady().then(fetchPages)
