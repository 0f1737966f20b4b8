import type { Locator, Page } from '@playwright/test';

export function choose(
  scope: Page | Locator,
  label: string | RegExp,
  word: string | RegExp,
  options?: { readonly exact?: boolean },
): Promise<void>;
