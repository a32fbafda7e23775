import { test } from '@playwright/test';
import { SIGNED_IN } from '../../playwright.config';
import { signIn } from './support';

test('a person signs in', async ({ page }) => {
    await signIn(page);
    await page.context().storageState({ path: SIGNED_IN });
});
