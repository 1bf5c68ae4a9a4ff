import type { FullConfig } from '@playwright/test';
import { keepDemo } from './demoState';

/** Before the browser tests: the demo is brought in once. */
export default async function setUp({ projects }: FullConfig): Promise<void> {
  const { baseURL, launchOptions } = projects[0]?.use ?? {};
  await keepDemo(baseURL ?? '', launchOptions);
}
