// Says of each browser test that failed where and why, in a few lines: what stands at the end of a long log is what is read.
import { readFileSync } from 'node:fs'
import { stripVTControlCharacters } from 'node:util'

const [path] = process.argv.slice(2)
const bare = stripVTControlCharacters
const testsIn = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(testsIn)]

for (const spec of JSON.parse(readFileSync(path, 'utf8')).suites.flatMap(testsIn)) {
  const result = spec.tests.flatMap((test) => test.results).find((one) => one.error)
  if (!result) continue
  const { message = '', location } = result.error
  console.log(`${spec.file}:${location?.line ?? spec.line} ${spec.title}`)
  console.log(
    bare(message)
      .split('\n')
      .filter(Boolean)
      .slice(0, 12)
      .map((line) => `    ${line.slice(0, 200)}`)
      .join('\n'),
  )
}
