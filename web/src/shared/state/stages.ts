import type { Component } from 'vue'
import type { RouteLocationRaw, RouteRecordRaw } from 'vue-router'
import type { Schemas } from '../api/client'

/** The nine stages, in the order of the work. */
export const stageKeys = ['survey', 'choose', 'section', 'sets', 'window', 'rig', 'spray', 'prove', 'handOver'] as const

export type StageKey = (typeof stageKeys)[number]

/** What a cell or a foot of the board is worded with. */
export interface Say {
  t: (key: string, named?: Record<string, unknown>) => string
  print: (figure: Schemas['FigureAnswer'] | null | undefined) => string
}

/** What a stage brings to the pages: `stages/<key>/stage.ts` is this, and nothing else lists the stage. */
export interface Stage {
  key: StageKey
  /** Its pages within a job. */
  routes: RouteRecordRaw[]
  /** Its page for a surface; without one its first page, or null where it has none. */
  to: (job: string, surface?: string) => RouteLocationRaw | null
  /** Its cell of the board in words. */
  cell: (cell: Schemas['BoardCell'], figures: Record<string, string>, say: Say) => string
  /** What its cell says where there is nothing yet; a dash where it does not say. */
  none?: (say: Say) => string
  /** A second line of its cell, a component of `job` and `surface`. */
  more?: Component
  /** Whether its cell goes without a mark. */
  unmarked?: boolean
  /** The foot of its column: words, or a component of `feet` and `job`. */
  foot: ((feet: Schemas['BoardFeet'], say: Say) => string) | { is: Component }
}

const registered = new Map<StageKey, Stage>()

/** Takes a stage in, and gives what takes it out again. */
export function register(stage: Stage) {
  registered.set(stage.key, stage)
  return () => void registered.delete(stage.key)
}

/** The stages with what they bring; a stage that is not built yet brings nothing, and is shown as later. */
export const stages = () => stageKeys.map((key) => ({ key, built: registered.get(key) }))

const hasPage = (routes: readonly RouteRecordRaw[], name: unknown): boolean =>
  routes.some((route) => route.name === name || hasPage(route.children ?? [], name))

/** The stage a page belongs to, by the page's name; none where it is of no stage. */
export const stageOf = (page: unknown): StageKey | undefined =>
  page ? [...registered.values()].find((stage) => hasPage(stage.routes, page))?.key : undefined
