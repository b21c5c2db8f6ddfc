/** Longest wait for frames in ms: a page that is not seen draws none. */
const LONGEST_WAIT = 100;

/**
 * Does something once what frames are told now is on the screen: they hear of it after the frame under way, so it is in
 * the one after that. Answers how to call it off.
 */
export function afterPaint(work: () => void): () => void {
  let task: ReturnType<typeof setTimeout> | undefined;
  let frame = requestAnimationFrame(() => {
    frame = requestAnimationFrame(() => {
      // The task after an animation frame runs once that frame is painted; those of the frames themselves come first.
      task = setTimeout(() => {
        task = setTimeout(run);
      });
    });
  });
  const limit = setTimeout(run, LONGEST_WAIT);
  function cancel(): void {
    cancelAnimationFrame(frame);
    clearTimeout(task);
    clearTimeout(limit);
  }
  function run(): void {
    cancel();
    work();
  }
  return cancel;
}
