import base from './playwright.config';

/** Takes the pictures of docs/screenshots; not part of the tests. */
export default { ...base, testDir: 'e2e/shots', testMatch: '*.shots.ts', workers: 1, fullyParallel: false };
