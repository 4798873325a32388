import { mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h } from 'vue';
import { boundKeys, listenForKeys, useKeys } from './keys.ts';

const press = (key: string, target: EventTarget = document.body, more: KeyboardEventInit = {}): KeyboardEvent => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  target.dispatchEvent(event);
  return event;
};
const withKeys = (list: Parameters<typeof useKeys>[0]) =>
  mount(
    defineComponent({
      setup: () => (useKeys(list), () => h('div', [h('input'), h('button')])),
    }),
    { attachTo: document.body },
  );

describe('keys', () => {
  beforeEach(() => window.addEventListener('keydown', listenForKeys));
  afterEach(() => {
    window.removeEventListener('keydown', listenForKeys);
    document.body.innerHTML = '';
    vi.useRealTimers();
  });

  it('work while their screen is there, and not after', () => {
    const run = vi.fn();
    const screen = withKeys([{ keys: 'u', does: 'Undo', run }]);
    expect(press('U').defaultPrevented).toBe(true);
    screen.unmount();
    press('u');
    expect(run).toHaveBeenCalledTimes(1);
    expect(boundKeys.size).toBe(0);
  });
  it('rest while typing, in a dialog, and with a modifier', () => {
    const run = vi.fn();
    const screen = withKeys([{ keys: 'u', does: 'Undo', run }]);
    press('u', screen.find('input').element);
    press('u', document.body, { ctrlKey: true });
    // A sheet lies over the screen, wherever the focus is.
    const sheet = document.body.appendChild(document.createElement('div'));
    sheet.setAttribute('role', 'dialog');
    press('u', sheet);
    press('u');
    expect(run).not.toHaveBeenCalled();
    sheet.remove();
    press('u');
    expect(run).toHaveBeenCalledTimes(1);
    screen.unmount();
  });
  it('leave Space to the button that holds the focus', () => {
    const run = vi.fn();
    const screen = withKeys([{ keys: ' ', does: 'Done', run }]);
    press(' ', screen.find('button').element);
    expect(run).not.toHaveBeenCalled();
    press(' ');
    expect(run).toHaveBeenCalledTimes(1);
    screen.unmount();
  });
  it('take G and a letter one after the other, but not after a pause', () => {
    vi.useFakeTimers();
    const [bay, timers] = [vi.fn(), vi.fn()];
    const screen = withKeys([
      { keys: 'gt', does: 'Go to tools', run: bay },
      { keys: 't', does: 'Timers', run: timers },
    ]);
    press('g');
    press('t');
    expect([bay.mock.calls.length, timers.mock.calls.length]).toEqual([1, 0]);
    press('g');
    vi.advanceTimersByTime(1500);
    press('t');
    expect([bay.mock.calls.length, timers.mock.calls.length]).toEqual([1, 1]);
    screen.unmount();
  });
  it('mean what was bound last', () => {
    const [below, above] = [vi.fn(), vi.fn()];
    const first = withKeys([{ keys: 'a', does: 'below', run: below }]);
    const second = withKeys([{ keys: 'a', does: 'above', run: above }]);
    press('a');
    second.unmount();
    press('a');
    expect([below.mock.calls.length, above.mock.calls.length]).toEqual([1, 1]);
    first.unmount();
  });
});
