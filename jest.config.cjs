module.exports = {
  // that it holds is asked here, not how fast: the bench does that
  testTimeout: 60_000,
  projects: ['<rootDir>/core', '<rootDir>/contract', '<rootDir>/server', '<rootDir>/app'],
};
