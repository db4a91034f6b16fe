import { chromium, type Browser } from '@playwright/test';

/** The same browser for every measurement and picture. */
export const openBrowser = (): Promise<Browser> =>
  chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--lang=en-GB',
    ],
  });
