module.exports = {
  projects: ['<rootDir>/core', '<rootDir>/contract', '<rootDir>/server', '<rootDir>/app'],
};
