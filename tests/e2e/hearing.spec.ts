import { expect, test, type Page } from '@playwright/test';
import { newCase, saved, words } from '../support/casePage.ts';
import { noViolations } from '../support/noViolations.ts';

const heard = (page: Page) => page.getByRole('region', { name: 'Heard' });

test('a finding is added by sight, from the part of the plant and its drawing', async ({
  page,
}) => {
  await newCase(page, 'my tomato is poorly');
  await page.keyboard.press('Alt+s');
  const dialog = page.getByRole('dialog', { name: 'Add a finding' });
  await dialog.getByRole('radio', { name: 'Leaves' }).click();
  await expect(dialog.getByText('Leaves yellow')).toBeVisible();
  await noViolations(page, '[role=dialog]');
  await dialog.getByRole('searchbox').fill('rings lik a target');
  await dialog.getByRole('button', { name: 'Yes: Spots with rings like a target' }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('region', { name: 'Causes' })).toContainText('Early blight');
  await expect(heard(page)).toContainText('Spots with rings like a target');
});

test('words that were not understood are tied to a finding, and the Library remembers them', async ({
  page,
}) => {
  await newCase(page, 'my tomato has gone all witchy');
  await words(page).evaluate((box) => {
    if (box instanceof HTMLTextAreaElement) box.setSelectionRange(18, 29);
  });
  await page.keyboard.press('Alt+s');
  const dialog = page.getByRole('dialog', { name: 'Add a finding' });
  await expect(dialog).toContainText('for the words “all witchy”');
  await dialog.getByRole('searchbox').fill('twisted');
  await dialog.getByRole('button', { name: /^Yes: New growth twisted/ }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await saved(page);
  await page.goto('/library/finding/leaf-twisted-narrow');
  await expect(page.getByText('“all witchy”')).toBeVisible();
});

test('a message about several plants gets a tab for each, and no word is lost', async ({
  page,
}) => {
  await newCase(
    page,
    'My tomatoes have spots on the lower leaves. The roses have little green bugs all over the tips.',
  );
  await heard(page).getByRole('button', { name: 'A tab for each' }).click();
  await expect(words(page)).toHaveValue('My tomatoes have spots on the lower leaves.');
  await page.getByRole('button', { name: /^The roses have/ }).click();
  await expect(words(page)).toHaveValue('The roses have little green bugs all over the tips.');
  await saved(page);
});

test('tabs are put together again, named, joined and removed', async ({ page }) => {
  const text =
    'My tomatoes have spots on the lower leaves. The roses have little green bugs all over the tips.';
  const tab = (name: RegExp) => page.getByRole('navigation').getByRole('button', { name });
  const openTab = () => page.getByRole('button', { name: /^Tab:/ }).click();
  await newCase(page, text);
  await heard(page).getByRole('button', { name: 'A tab for each' }).click();
  await expect(tab(/^The roses have/)).toBeVisible();
  await heard(page).getByRole('button', { name: 'Put them together again' }).click();
  await expect(words(page)).toHaveValue(text);
  await expect(tab(/^The roses have/)).toHaveCount(0);
  await heard(page).getByRole('button', { name: 'A tab for each' }).click();
  await tab(/^The roses have/).click();
  await openTab();
  await page.getByRole('textbox', { name: /^Name of this tab/ }).fill('By the gate');
  await noViolations(page, '[role=dialog]');
  await page.keyboard.press('Escape');
  await expect(tab(/^By the gate$/)).toBeVisible();
  await openTab();
  await page.getByRole('button', { name: /^Join it to/ }).click();
  await expect(words(page)).toHaveValue(text.replace('. The', '.\nThe'));
  await expect(tab(/^By the gate$/)).toHaveCount(0);
  await words(page).evaluate((box: HTMLTextAreaElement) => box.setSelectionRange(44, 44));
  await openTab();
  await page.getByRole('button', { name: 'A tab for the words behind the cursor' }).click();
  await expect(words(page)).toHaveValue(/^The roses/);
  await openTab();
  await page.getByRole('button', { name: /^Join it to/ }).click();
  await expect(words(page)).toHaveValue(/^My tomatoes[^]*tips\.$/);
  await page.keyboard.press('Alt+p');
  await words(page).fill('Another one.');
  await openTab();
  await page.getByRole('button', { name: 'Remove this plant' }).click();
  await expect(words(page)).toHaveValue(/^My tomatoes/);
  await saved(page);
  await page.reload();
  await expect(words(page)).toHaveValue(/^My tomatoes[^]*tips\.$/);
  await expect(page.getByText('Another one.')).toHaveCount(0);
});

test('of a pasted letter only what tells of the plant is heard', async ({ page }) => {
  await newCase(
    page,
    'Dear Heather,\nmy hosta leaves have holes.\nThanks,\nOlive Marsh\n555 0142 778\n> was it slugs on the lettuce?',
  );
  await expect(page.getByRole('button', { name: /^Plant: Hosta/ })).toBeVisible();
  await expect(heard(page)).toContainText('1 understood');
});

test('what was understood is turned round, doubted and dropped by one key each', async ({
  page,
}) => {
  await newCase(
    page,
    'white powder on the lilac leaves, it wipes off. I water it every day for 20 minutes',
  );
  await expect(heard(page)).toContainText('Water: every day, 20 minutes');
  const row = (label: string) => heard(page).getByRole('listitem').filter({ hasText: label });
  await page.keyboard.press('Alt+h');
  await page.keyboard.press('n');
  await expect(row('White powder on the upper side')).toContainText('no');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('u');
  await expect(row('The coating comes off when rubbed')).toContainText('unsure');
  await page.keyboard.press('Backspace');
  await expect(row('The coating comes off when rubbed')).toContainText('yes');
  await page.keyboard.press('Delete');
  await expect(row('The coating comes off when rubbed')).toContainText('left out');
});

test('somebody in danger comes before the advice, and leaves it when that is dealt with', async ({
  page,
}) => {
  await newCase(page, 'Slime trails on my hosta. I put down slug bait and my dog ate some of it.');
  const urgent = page.getByRole('alert', { name: 'Urgent' });
  await expect(urgent).toContainText('Do not make it vomit');
  await expect(urgent.getByRole('list', { name: 'Whom to call' })).toContainText('a vet');
  await expect(urgent).toContainText('An animal swallowed something');
  await expect(page.getByText(/^Advice about the plant waits/)).toBeVisible();
  const advice = page.getByRole('region', { name: 'Advice so far' });
  await expect(advice).toBeHidden();
  await noViolations(page);
  await page.keyboard.press('Alt+g');
  await expect(urgent).toBeHidden();
  await expect(advice).toContainText('slugs and snails');
  await expect(heard(page)).toContainText('Dealt with: swallowed animal');
});
