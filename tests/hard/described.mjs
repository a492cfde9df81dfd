// What a running product says of its own interface, and ids of everything a person of it may see.

/** Methods that are asked by. */
export const METHODS = ['get', 'post', 'put', 'patch', 'delete']
const OF_FIRM = ['places', 'means', 'stock', 'past-jobs', 'target-sets', 'templates', 'tokens', 'people']
const OF_JOB = ['surfaces', 'joints', 'complaints', 'photos', 'logs', 'fan-tests', 'thermal', 'papers']

/** Every operation of the API description. */
export const operationsOf = (description) =>
  Object.entries(description.paths).flatMap(([path, item]) =>
    METHODS.filter((method) => item[method]).map((method) => ({ path, method, ...item[method] })),
  )

/** Ids by the kind of record, as the paths name it. */
export async function idsSeenBy(person) {
  const found = {}
  const collect = (value, kind) => {
    if (Array.isArray(value)) return value.forEach((one) => collect(one, kind))
    if (!value || typeof value !== 'object') return
    if (typeof value.id === 'string' && /^[0-9a-f-]{36}$/.test(value.id)) (found[kind] ??= new Set()).add(value.id)
    for (const [name, inner] of Object.entries(value)) collect(inner, name === 'job' ? 'jobs' : kind)
  }
  const jobs = (await person.ask('GET', '/api/jobs')).body
  collect(jobs, 'jobs')
  for (const kind of OF_FIRM) collect((await person.ask('GET', `/api/${kind}`)).body, kind)
  for (const { job } of jobs)
    for (const kind of OF_JOB) collect((await person.ask('GET', `/api/jobs/${job.id}/${kind}`)).body, kind)
  for (const surface of found.surfaces ?? [])
    collect((await person.ask('GET', `/api/surfaces/${surface}/notes`)).body, 'notes')
  return Object.fromEntries(Object.entries(found).map(([kind, ids]) => [kind, [...ids]]))
}

/** The kind of record a path is about. */
export const kindOf = (path) => path.split('/')[2]
