/** Runs work once the change just made is on the screen, or at once when nothing is being shown. */
export function afterPaint(work: () => void): void {
  if (document.visibilityState === 'hidden') work();
  else requestAnimationFrame(() => setTimeout(work));
}
