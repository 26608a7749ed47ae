import { expect, test } from '@playwright/test';
import { noViolations } from '../support/noViolations.ts';

const LABEL =
  'Active ingredient: potassium salts of fatty acids 49 %. WARNING. For aphids, scale and mites on house plants and roses. Mix 5 tablespoons per gallon of water; 1 gallon covers 200 sq ft; my sprayer holds 2 gallons. Repeat every 10 days, no more than 3 times a year. Do not apply above 90 F.';

test('a label that is read out is judged, kept with its step, dated by, and printed with the sheet', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('table').waitFor();
  await page.keyboard.press('n');
  const words = page.getByRole('textbox', { name: "The enquirer's words" });
  await words.fill('Brown bumps on the stems of my ficus indoors, sticky leaves');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: /^Label/ }).click();
  const label = page.getByRole('textbox', { name: 'What the label says, as it is read out' });
  await label.fill('Glyphosate 2 %, kills weeds and grasses on paths. CAUTION. 6 fl oz per gallon');
  await expect(page.getByText('Do not use it for this.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep with the plan' })).toHaveCount(0);

  await label.fill(LABEL);
  const points = page.getByRole('list', { name: 'Does it fit' });
  await expect(points).toContainText('It is insecticidal soap, as the plan says.');
  await expect(points).toContainText(/The label names .*scale/);
  await expect(points).toContainText('goggles');
  await expect(page.getByText(/of product in 7.6 L/)).toContainText('10 tablespoons');
  await noViolations(page);
  await page.getByRole('button', { name: 'Keep with the plan' }).click();
  await expect(page.getByText('Kept with the plan.')).toBeVisible();

  await page
    .getByRole('textbox', { name: 'Name for the clinic’s list' })
    .fill('Soap from the shed');
  await page.getByRole('button', { name: 'Keep in the list' }).click();
  await expect(page.getByText('Kept in the list.')).toBeVisible();
  await page.keyboard.press('Alt+r');
  await expect(
    page.getByRole('listitem').filter({ hasText: 'By its label:' }).last(),
  ).toContainText('at most 3 times a year');
  await page.keyboard.press('Alt+l');
  await expect(page.getByLabel('The sheet to take along')).toContainText(
    'again after 10 days at the soonest',
  );
  await page.keyboard.press('Alt+l');

  await page.goto('/');
  await page.getByRole('table').waitFor();
  await page.keyboard.press('n');
  await words.fill('Aphids on my roses, the leaves are sticky');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.keyboard.press('Alt+r');
  await page
    .getByRole('combobox', { name: 'Choose one of the clinic’s' })
    .selectOption('Soap from the shed');
  await expect(label).toHaveValue(LABEL);
  await page.getByRole('button', { name: 'Remove from the list' }).click();
  await expect(page.getByText('Removed from the list.')).toBeVisible();
});

test('what is typed of a label or of a step of our own is there again after a look elsewhere', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('table').waitFor();
  await page.keyboard.press('n');
  const words = page.getByRole('textbox', { name: "The enquirer's words" });
  await words.fill('My tomatoes wilt at noon');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  // The caller has a bottle, whatever the plan says.
  await page.getByRole('button', { name: /^Label/ }).click();
  const label = page.getByRole('textbox', { name: 'What the label says, as it is read out' });
  await label.fill('Soap, CAUTION, for aph');
  await page.keyboard.press('Alt+r');
  await expect(label).toHaveCount(0);
  await page.keyboard.press('Alt+r');
  await expect(label).toHaveValue('Soap, CAUTION, for aph');
  await page.keyboard.press('Alt+r');
  await page.getByRole('button', { name: 'Change the plan' }).click();
  await page.getByRole('textbox', { name: 'A step of our own' }).fill('Ring the neighbor');
  await page.getByRole('button', { name: 'Done changing' }).click();
  await page.reload();
  await page.getByRole('button', { name: 'Change the plan' }).click();
  const step = page.getByRole('textbox', { name: 'A step of our own' });
  await expect(step).toHaveValue('Ring the neighbor');
  await page.getByRole('button', { name: 'Add the step' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Ring the neighbor' })).toBeVisible();
  await expect(step).toHaveValue('');
  await page.keyboard.press('Alt+r');
  await expect(label).toHaveValue('Soap, CAUTION, for aph');
});
