import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import { i18n } from '@/i18n'
import '@/stages'
import { useHelp, useHelpOn, type HelpTopic } from '@/shared/state/help'
import { firmPages } from '@/shared/state/pages'
import { stages } from '@/shared/state/stages'
import { shown } from '@/shared/testing/shown'
import HelpDrawer from '@/shared/ui/HelpDrawer.vue'

const page = (about: HelpTopic) => defineComponent({ setup: () => (useHelpOn(() => about), () => h('p', about)) })

beforeEach(() => setActivePinia(createPinia()))

describe('help', () => {
  it('tells of every page what it answers and what to enter, and what its marks mean where it has some', async () => {
    const topics = stages().flatMap(({ key, built }) => (built ? [key] : []))
    expect(topics.length).toBeGreaterThan(4)
    const marked = ['jobs', 'board', 'stock', ...topics] as HelpTopic[]
    for (const about of new Set<HelpTopic>([...marked, ...firmPages])) {
      const here = await shown(page(about))
      useHelp().shown.value = true
      const drawer = await shown(HelpDrawer)
      await flushPromises()
      for (const part of ['answers', 'enter', ...(marked.includes(about) ? ['marks'] : [])]) {
        expect(i18n.global.te(`help.${about}.${part}`), `${about} ${part}`).toBe(true)
        expect(document.body.textContent).toContain(i18n.global.t(`help.${about}.${part}`))
      }
      expect(document.querySelectorAll('.el-drawer .mark').length > 0, about).toBe(marked.includes(about))
      drawer.unmount()
      here.unmount()
    }
  })

  it('is of the page on the screen, and of none once that is left', async () => {
    const board = await shown(page('board'))
    expect(useHelp().topic.value).toBe('board')
    useHelp().shown.value = true
    board.unmount()
    expect(useHelp().topic.value).toBeNull()
    expect(useHelp().shown.value).toBe(false)
  })
})
