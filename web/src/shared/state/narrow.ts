import { useMediaQuery } from '@vueuse/core'

/** Whether the screen is a phone's, where pages take another shape; their styles say the same with `width <= 700px`. */
export const useNarrow = () => useMediaQuery('(width <= 700px)')

/** Whether it is no wider than a tablet held upright. */
export const useUpright = () => useMediaQuery('(width <= 900px)')
