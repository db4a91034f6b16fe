module.exports = {
  ...require('../jest.node.cjs')('server'),
  globalSetup: './jest-setup.cjs',
  setupFiles: ['./jest-setup-each.cjs'],
};
