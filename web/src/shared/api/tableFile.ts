import { api, ask, type Schemas } from './client'
import { saveFile } from './saveFile'

/** A table of the screen as a file: laid out by the server, its words and figures those on the screen. */
export async function saveTable(kind: 'pdf' | 'xlsx' | 'csv', page: Schemas['TablePage'], name: string) {
  const answer =
    kind === 'pdf'
      ? await ask(api.POST('/api/documents/table/pdf', { body: page, parseAs: 'blob' }))
      : kind === 'xlsx'
        ? await ask(api.POST('/api/documents/table/xlsx', { body: page, parseAs: 'blob' }))
        : await ask(api.POST('/api/documents/table/csv', { body: page, parseAs: 'blob' }))
  saveFile(answer as unknown as Blob, `${name}.${kind}`)
}
