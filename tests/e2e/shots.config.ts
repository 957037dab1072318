import { defineConfig } from '@playwright/test';
import base from '../../playwright.config';

/** Takes the README's pictures; called by ./sparrow shots on a fresh demo. */
export default defineConfig({ ...base, testDir: '.', testMatch: 'shots.ts', outputDir: '../../var/playwright-shots' });
