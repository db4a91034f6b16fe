// Shared by the packages that run in Node: TypeScript through Babel, compiled to CommonJS.
module.exports = (name) => ({
  displayName: { name, color: 'yellow' },
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  transform: {
    '\\.[cm]?[jt]sx?$': [
      'babel-jest',
      {
        babelrc: false,
        configFile: false,
        compact: false,
        presets: [
          ['@babel/preset-env', { targets: { node: '20' }, modules: 'commonjs' }],
          ['@babel/preset-typescript', { onlyRemoveTypeImports: true }],
        ],
      },
    ],
  },
  // PGlite calls import('fs'), which Jest's sandbox refuses: Babel makes require('fs') of it
  transformIgnorePatterns: ['/node_modules/(?!(@electric-sql|@gentle-burrow)/)'],
});
