import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { i18n } from '@/i18n'
import type { Paper } from '@/shared/state/papers'
import PapersMade from './PapersMade.vue'

const known = ref<Paper[]>([])
vi.mock('@/shared/state/papers', () => ({ usePapersMade: () => ({ data: known }) }))
vi.mock('@/shared/state/times', () => ({ useTimes: () => ({ time: (at: string) => at }) }))

const paper = (n: number, kind: Paper['kind']): Paper => ({
  id: `${kind}${n}`,
  kind,
  title: `${kind} ${n}`,
  units: 'us',
  madeAt: '2026-11-23T12:40:00Z',
  madeBy: 'owner',
})

function shown(papers: Paper[]) {
  known.value = papers
  const page = mount(PapersMade, { props: { job: 'job', kinds: ['order', 'loadList'] }, global: { plugins: [i18n] } })
  return { page, titles: () => page.findAll('li > span:first-child').map((one) => one.text()) }
}

describe('papers that were made', () => {
  it('are those of the page, the newest first and not all at once', async () => {
    const papers = [1, 2, 3, 4, 5, 6, 7].map((n) => paper(n, n === 3 ? 'innerBid' : 'order'))
    const { page, titles } = shown(papers)
    expect(titles()).toEqual(['order 1', 'order 2', 'order 4', 'order 5', 'order 6'])
    await page.findAll('button').at(-1)!.trigger('click')
    expect(titles()).toHaveLength(6)
    expect(page.text()).not.toContain('Show all')
  })

  it('are saved again as they were made', async () => {
    const { page } = shown([paper(1, 'loadList')])
    const button = page.get('li button')
    expect(button.attributes('aria-label')).toContain('loadList 1')
    await button.trigger('click')
    expect(page.emitted('again')).toEqual([[paper(1, 'loadList'), 'pdf']])
  })

  it('are nothing where none was made', () => {
    expect(
      shown([paper(1, 'innerBid')])
        .page.find('section')
        .exists(),
    ).toBe(false)
  })
})
