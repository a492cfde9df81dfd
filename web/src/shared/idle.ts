/** Waits until the page has nothing else to do, so that what is needed later does not hold up what is needed now. */
export const whenIdle = () =>
  new Promise<void>((go) =>
    'requestIdleCallback' in globalThis ? requestIdleCallback(() => go(), { timeout: 2000 }) : setTimeout(go, 300),
  )
