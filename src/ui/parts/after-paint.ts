/** The next frame of a page that is not shown does not come: then it is done without, ms. */
const NOT_SHOWN_MS = 100;

/** Does something once what was just changed is painted; what stops that, as long as it is not done. */
export function afterPaint(work: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const done = () => {
    clearTimeout(late);
    cancelAnimationFrame(frame);
    timer = setTimeout(work);
  };
  const late = setTimeout(done, NOT_SHOWN_MS);
  const frame = requestAnimationFrame(done);
  return () => {
    clearTimeout(late);
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}
