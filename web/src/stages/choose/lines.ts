import { ApiProblem, type Schemas } from '@/shared/api/client'

/** The lines of a job's choices, one after the other as the server reckons them: a JSON array read while it is written. */
export async function* linesOf(job: string, signal: AbortSignal): AsyncGenerator<Schemas['ChoiceLine']> {
  const response = await fetch(`/api/jobs/${job}/choose`, { signal })
  if (!response.ok || !response.body) throw new ApiProblem(response.status, '', [], null)
  const read = new ObjectsOfArray()
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    for (const text of read.feed(part.value)) yield JSON.parse(text) as Schemas['ChoiceLine']
  }
}

/** Cuts the text of a JSON array into its objects as it comes in. */
export class ObjectsOfArray {
  private text = ''
  private depth = 0
  private quoted = false
  private escaped = false

  feed(part: string): string[] {
    const whole: string[] = []
    for (const char of part) {
      if (this.depth > 0 || char === '{') this.text += char
      if (this.escaped) this.escaped = false
      else if (this.quoted) {
        if (char === '\\') this.escaped = true
        else if (char === '"') this.quoted = false
      } else if (char === '"') this.quoted = true
      else if (char === '{') this.depth++
      else if (char === '}' && --this.depth === 0) {
        whole.push(this.text)
        this.text = ''
      }
    }
    return whole
  }
}
