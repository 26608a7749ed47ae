import { expect, type Page } from '@playwright/test';

/** The box of the enquirer's words. */
export const words = (page: Page) => page.getByRole('textbox', { name: "The enquirer's words" });

/** Waits until everything is saved. */
export const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

/** Opens a case from the Desk and types into it. */
export async function newCase(page: Page, text: string): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
  await page.keyboard.press('n');
  await expect(words(page)).toBeFocused();
  await words(page).fill(text);
}

/** Ends the call of a case as advised. */
export async function closeCase(page: Page): Promise<void> {
  await page.keyboard.press('Alt+f');
  // It can be pressed once the case may be closed.
  await page
    .getByRole('dialog', { name: 'How does it end?' })
    .getByRole('button', { name: /^Advised/ })
    .click();
}
