const path = require('node:path');

const esm = 'd3-[^/]+|internmap|@gentle-burrow/[^/]+|pure-rand|uuid';
const { watchPlugins: _, ...base } = require('jest-expo/web/jest-preset');

/** The web target: react-native-web in jsdom, with @testing-library/react. */
module.exports = {
  ...base,
  displayName: { name: 'app', color: 'green' },
  testEnvironment: '<rootDir>/test/environment.cjs',
  roots: ['<rootDir>/src', '<rootDir>/test'],
  testMatch: ['**/*.test.ts?(x)'],
  setupFiles: [...(base.setupFiles ?? []), 'fake-indexeddb/auto', '<rootDir>/test/setup.cjs'],
  moduleNameMapper: {
    // one address that pages follow, instead of the browser's
    '^expo-router$': '<rootDir>/test/router.ts',
    ...base.moduleNameMapper,
    '^@/(.*)$': '<rootDir>/src/$1',
    '^@expo/vector-icons/.*$': '<rootDir>/test/icon.tsx',
  },
  transform: {
    ...base.transform,
    // jest-expo looks for the Babel config in process.cwd(), which is the repo's root here
    '\\.m?[jt]sx?$': [
      'babel-jest',
      {
        configFile: path.join(__dirname, 'babel.config.js'),
        caller: { name: 'metro', bundler: 'metro', platform: 'web' },
      },
    ],
  },
  transformIgnorePatterns: base.transformIgnorePatterns?.map((p) =>
    p.replace('native-base', `native-base|${esm}`),
  ),
};
