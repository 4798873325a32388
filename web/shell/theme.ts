import { ref } from 'vue';
import { readPreference, writePreference } from './preferences.ts';

/** Bench is light, bonnet is dark. */
export type Theme = 'light' | 'dark';

const dark = window.matchMedia('(prefers-color-scheme: dark)');

/** The theme in force. */
export const theme = ref<Theme>('light');

function show(next: Theme): void {
  theme.value = next;
  document.documentElement.dataset.theme = next;
  document.querySelector('meta[name="theme-color"]')?.setAttribute('content', next === 'dark' ? '#12191A' : '#F7F3EA');
}

/** Follows the system until the person has chosen. */
export function startTheme(): void {
  const chosen = readPreference('theme');
  show(chosen === 'dark' || chosen === 'light' ? chosen : dark.matches ? 'dark' : 'light');
  dark.addEventListener('change', ({ matches }) => {
    if (readPreference('theme') === null) show(matches ? 'dark' : 'light');
  });
}

export function switchTheme(): void {
  show(theme.value === 'dark' ? 'light' : 'dark');
  writePreference('theme', theme.value);
}
