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
  const printed = page.locator('#on-paper');
  await expect(printed).toBeVisible();
  await expect(printed).toContainText('Larkspur Quay Plant Clinic');
  await expect(printed.getByRole('article')).toHaveCSS('color', 'rgb(0, 0, 0)');
});

test('a plan is changed: moved, left out, added to; the sheet and its print say so', async ({
  page,
}) => {
  await newCase(page, 'Brown bumps on the stems of my ficus indoors, sticky leaves');
  const advice = page.getByRole('region', { name: 'Advice so far' });
  await advice.getByRole('button', { name: 'Change the plan' }).click();
  await advice.getByRole('button', { name: /^Leave out: Spray insecticidal soap/ }).click();
  await expect(advice.getByText('Left out by us')).toBeVisible();
  await advice
    .getByRole('textbox', { name: 'A step of our own' })
    .fill('Bring us a twig in a bag.');
  await advice.getByRole('button', { name: 'Add the step' }).click();
  await advice
    .getByRole('textbox', { name: 'A step of our own' })
    .fill('Dust it with carbaryl in the evening.');
  await advice.getByRole('button', { name: 'Add the step' }).click();
  // A step of one's own is held against the rules of safety too.
  const dusting = advice.getByRole('listitem').filter({ hasText: 'Dust it with carbaryl' });
  await expect(dusting.first()).toContainText('Use a product only if its label names this pest');
  await advice.getByRole('button', { name: 'Move up: Bring us a twig in a bag.' }).click();
  await noViolations(page);
  await page.getByText('Saved', { exact: true }).waitFor();
  await page.reload();
  await advice.waitFor();
  await expect(advice.getByText('Bring us a twig in a bag.')).toBeVisible();
  await page.keyboard.press('Alt+l');
  const sheet = page.getByRole('region', { name: 'The sheet to take along' }).getByRole('article');
  await expect(sheet).toContainText('Bring us a twig in a bag.');
  await expect(sheet).not.toContainText('Spray insecticidal soap');
  const pdf = (await page.pdf({ format: 'A4', tagged: true })).toString('latin1');
  expect(pdf).toContain('/StructTreeRoot');
  // Letters are embedded outlines, by whichever way the browser embeds a variable font, and no picture of them.
  expect(pdf).toMatch(/\/FontFile[23]|\/Type3/);
  expect(pdf).not.toMatch(/\/Subtype\s*\/Image/);
  expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)?.length).toBeLessThanOrEqual(2);
});
