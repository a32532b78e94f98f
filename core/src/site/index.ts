/** What to look at where something is put up. */
export * from './siteSteps';
