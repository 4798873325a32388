import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { press, read } from '../testing.ts';
import FirstVisit from './FirstVisit.vue';
import { PAGE_WORDS } from './pageWords.ts';
import { router } from './router.ts';
import WhatIsThis from './WhatIsThis.vue';

beforeEach(() => localStorage.clear());

describe('a first visit', () => {
  it('is told one thing, once on this device', async () => {
    const first = mount(FirstVisit, { props: { page: 'stage-refit' } });
    expect(read(first)).toContain('the second puts it back');
    // Left without a word it does not come again either.
    first.unmount();
    expect(
      mount(FirstVisit, { props: { page: 'stage-refit' } })
        .find('[role=note]')
        .exists(),
    ).toBe(false);
    const other = mount(FirstVisit, { props: { page: 'bay' } });
    expect(other.find('[role=note]').exists()).toBe(true);
    await press(other, 'Good');
    expect(other.find('[role=note]').exists()).toBe(false);
  });
  it('can be told nothing at all', async () => {
    const wrapper = mount(FirstVisit, { props: { page: 'bay' } });
    await press(wrapper, 'No hints at all');
    await wrapper.setProps({ page: 'stock' });
    expect(wrapper.find('[role=note]').exists()).toBe(false);
  });
});

describe('what is this', () => {
  const SheetDialog = { props: ['title'], template: '<div><h2>{{ title }}</h2><slot /></div>' };
  it('says what each page is for; every stage and every place has its words', () => {
    const names = new Set(router.getRoutes().map(({ name }) => String(name)));
    expect(Object.keys(PAGE_WORDS).filter((name) => !names.has(name))).toEqual([]);
    const stages = [...names].filter((name) => name.startsWith('stage-'));
    expect(stages).toHaveLength(13);
    // Hands busy, printed tags and an address that leads nowhere say what they are themselves.
    const themselves = [
      'for-customer',
      'phone',
      'hands',
      'hands-clean',
      'hands-run',
      'tags',
      'nowhere',
      'job',
      'undefined',
    ];
    expect([...names].filter((name) => PAGE_WORDS[name] === undefined && !themselves.includes(name))).toEqual([]);
    const wrapper = mount(WhatIsThis, { props: { page: 'bay' }, global: { stubs: { SheetDialog } } });
    expect(read(wrapper)).toContain('hatched is a wait that needs nobody');
    const unwritten = mount(WhatIsThis, { props: { page: 'nowhere' }, global: { stubs: { SheetDialog } } });
    expect(read(unwritten)).toContain('Nothing is written about this page');
  });
});
