import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { SAMPLE_FAMILY } from '../../core/job/testing/samples.ts';
import { useShop } from '../stores/shop.ts';
import UnitsView from './UnitsView.vue';

const push = vi.hoisted(() => vi.fn());
vi.mock('vue-router', () => ({ useRouter: () => ({ push }) }));

describe('a unit that is bought', () => {
  const sent: { url: string; method: string; body: Record<string, unknown> }[] = [];
  beforeEach(() => {
    sent.length = 0;
    setActivePinia(createPinia());
    useShop().personId = 'tomas';
    vi.stubGlobal('fetch', async (url: string, init: { method: string; body?: string }) => {
      if (init.method !== 'GET')
        sent.push({ url, method: init.method, body: JSON.parse(init.body ?? '{}') as Record<string, unknown> });
      return new Response(JSON.stringify({ rows: url.endsWith('/families') ? [SAMPLE_FAMILY] : [] }));
    });
  });
  afterEach(() => vi.unstubAllGlobals());

  it('is compared with the family it is meant for, then kept with what was paid', async () => {
    const view = mount(UnitsView, { global: { stubs: { RouterLink: RouterLinkStub } } });
    await flushPromises();
    const field = (label: string) =>
      view.find<HTMLInputElement>(
        `#${view
          .findAll('label')
          .find((each) => each.text() === label)!
          .attributes('for')}`,
      );
    await view.findAll('select')[1]!.setValue(SAMPLE_FAMILY.id);
    await field('Port diameter, mm').setValue('46');
    expect(view.find('[role="status"]').text()).toMatch(
      /Fits, but sets idle codes: port diameter 46 mm, expected 42 mm/,
    );
    await field('Paid, cr').setValue('dear');
    await view.find('form').trigger('submit');
    expect(view.find('[role="alert"]').text()).toBe('Expected an amount in cr, such as 80.00; got “dear”.');
    expect([sent.length, field('Port diameter, mm').element.value]).toEqual([0, '46']);
    await field('Paid, cr').setValue('90');
    await view.find('form').trigger('submit');
    await flushPromises();
    expect(sent).toMatchObject([
      { method: 'PUT', body: { unit: { kind: 'throttle-body', features: { portMm: 46 } } } },
      { method: 'POST', body: { entry: { kind: 'bought', priceMinor: 9000 } } },
    ]);
    expect(push).toHaveBeenCalledOnce();
  });
});
