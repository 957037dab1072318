const longestWaitMs = 1000;

/** When the page is drawn and nothing presses, a second later at most: for what takes a phone long and nobody waits for. */
export const whenIdle = (): Promise<void> =>
  new Promise((resolve) => {
    const isAsked = 'requestIdleCallback' in window;
    if (isAsked) window.requestIdleCallback(() => resolve(), { timeout: longestWaitMs });
    else setTimeout(resolve, longestWaitMs / 20);
  });
