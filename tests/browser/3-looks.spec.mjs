import { expect, logIn, test } from './helpers.mjs';

/** How much of a canvas is painted, and by what. */
const painted = (canvas) => {
  const { data } = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height);
  let n = 0;
  let sum = 0;
  for (let i = 3; i < data.length; i += 4)
    if (data[i]) {
      n++;
      sum = (sum * 31 + data[i - 3] * 7 + i) % 1000003;
    }
  return { part: (4 * n) / data.length, sum };
};

test('a fault of the codebook is shown without and with it, and the slider moves both', async ({ page }) => {
  await logIn(page, 'tam');
  await page.goto('/codebook');
  const box = page.locator('section#no-load .fault-look');
  await box.scrollIntoViewIfNeeded();
  await expect(box).toHaveAttribute('data-shown', '');
  const trail = async (golfer) =>
    Number.parseInt(await box.locator(`svg[data-golfer=${golfer}] text.big.trail`).textContent(), 10);
  expect(await trail('without')).toBeGreaterThan(61);
  expect(await trail('with')).toBeLessThan(54);
  const canvas = box.locator('canvas[data-golfer=with]');
  await expect.poll(async () => (await canvas.evaluate(painted)).part).toBeGreaterThan(0.05);
  const before = (await canvas.evaluate(painted)).sum;
  const slider = box.getByRole('slider');
  await slider.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await canvas.evaluate(painted)).sum).not.toBe(before);
  await box.getByRole('button', { name: 'back to lead arm level, going back' }).click();
  await expect.poll(async () => (await canvas.evaluate(painted)).sum).toBe(before);
  await expect(box.locator('svg[data-curve] path.with')).toHaveCount(1);
  // A fault that no curve of one swing shows says so.
  const feet = page.locator('section#locked-feet .fault-look');
  await feet.scrollIntoViewIfNeeded();
  await expect(feet).toHaveAttribute('data-shown', '');
  await expect(feet.locator('[data-curve-name]')).toContainText('No curve of one swing shows it');
});

test('a picture that cannot be fetched says so, and the words stay', async ({ page }) => {
  await logIn(page, 'tam');
  await page.route('**/looks/sway.json', (route) => route.abort());
  await page.goto('/codebook#sway');
  const box = page.locator('section#sway');
  await box.scrollIntoViewIfNeeded();
  await expect(box.getByText('The picture could not be fetched.')).toBeVisible();
  await expect(box.getByText('look for')).toBeVisible();
});
