import { register, type Stage } from '@/shared/state/stages'

/** Every stage there is: whoever has a `stage.ts` is one. */
const found = Object.values(import.meta.glob<Stage>('./*/stage.ts', { eager: true, import: 'default' }))
found.forEach((stage) => register(stage))

/** Pages of all stages within a job. */
export const stageRoutes = found.flatMap((stage) => stage.routes)
