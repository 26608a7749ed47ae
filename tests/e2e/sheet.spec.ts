import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { noViolations } from '../support/noViolations.ts';

async function newCase(page: Page, words: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('table').waitFor();
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: "The enquirer's words" }).fill(words);
  await page.getByRole('region', { name: 'Advice so far' }).waitFor();
  await page.getByText('Saved', { exact: true }).waitFor();
}

test('the sheet of a call is printed, sent and kept with the case', async ({ page }) => {
  await newCase(
    page,
    'Brown bumps on the stems of my ficus indoors, sticky leaves. How often do I spray?',
  );
  await page.keyboard.press('Alt+l');
  const panel = page.getByRole('region', { name: 'The sheet to take along' });
  const sheet = panel.getByRole('article');
  await expect(sheet).toContainText('What to do: ficus');
  await expect(sheet).toContainText('every 10 to 12 days');
  await expect(sheet).toContainText('The label of a product');
  await noViolations(page);

  await panel.getByRole('button', { name: 'Text message' }).click();
  await expect(panel.getByText(/\d+ characters, \d+ messages?/)).toBeVisible();

  const download = page.waitForEvent('download');
  await panel.getByRole('button', { name: 'E-mail draft' }).click();
  const mail = readFileSync(await (await download).path(), 'utf8');
  expect(mail).toContain('X-Unsent: 1');
  await expect(panel.getByText(/^Given: .*by e-mail/)).toBeVisible();

  // What was given is there again after a reload.
  await page.getByText('Saved', { exact: true }).waitFor();
  await page.reload();
  await page.getByRole('region', { name: 'Advice so far' }).waitFor();
  await page.keyboard.press('Alt+l');
  await expect(panel.getByText(/^Given: .*by e-mail/)).toBeVisible();
});

test('on paper stands the sheet alone, in black on white', async ({ page }) => {
  await newCase(page, 'White powder on the leaves of my zinnias, it wipes off');
  await page.keyboard.press('Alt+l');
  await page
    .getByRole('region', { name: 'The sheet to take along' })
    .getByRole('article')
    .waitFor();
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('#root')).toBeHidden();
  const printed = page.locator('#printed-sheet');
  await expect(printed).toBeVisible();
  await expect(printed).toContainText('Larkspur Quay Plant Clinic');
  await expect(printed.getByRole('article')).toHaveCSS('color', 'rgb(0, 0, 0)');
});
