import { isBackStep } from '../../../core/procedure/index.ts';
import type { Tap } from '../../../core/job/index.ts';

/** What the button of a tap says. */
export function tapWords(tap: Tap): string {
  switch (tap.kind) {
    case 'plug':
      return `Plug ${tap.opening.name.toLowerCase()}: ${tap.opening.plugWith.toLowerCase()}`;
    case 'rest':
      return `Take out the ${tap.group.stayingIn} that hold it`;
    case 'off':
      return tap.again ? 'Take off again' : 'Take off';
    case 'unplug':
      return 'Take it out';
    case 'bolt':
      return tap.step.passes > 1 && tap.step.pass < tap.step.passes
        ? `Record bolt ${tap.step.number}, pass ${tap.step.pass}`
        : `Record bolt ${tap.step.number}`;
    case 'back':
      if (isBackStep(tap.item)) return 'Done';
      if (tap.item.aside !== null) return 'Back in its place';
      return tap.item.kind === 'connector' ? 'Back, lock felt' : tap.renewed ? 'Fit the new one' : 'Put back';
    case 'lock':
      return 'Lock felt';
  }
}
