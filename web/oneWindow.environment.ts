/**
 * For component tests only: one window for all files of a worker. Making one takes most of a second, and modules that
 * stay between files (Vue keeps the document it was loaded with) would go on drawing into the window before.
 */
import { builtinEnvironments, type Environment } from 'vitest/runtime';

const MADE = Symbol.for('unhurried-wrench.window');
const worker = globalThis as { [MADE]?: true };

const environment: Environment = {
  name: 'one-window',
  viteEnvironment: 'client',
  setup: async (global, options) => {
    if (worker[MADE] === undefined) {
      worker[MADE] = true;
      await builtinEnvironments['happy-dom'].setup(global, options);
    } else {
      document.body.replaceChildren();
      document.head.replaceChildren();
      localStorage.clear();
      sessionStorage.clear();
    }
    return { teardown: () => undefined };
  },
};

export default environment;
