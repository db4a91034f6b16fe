// Before all tests: what every database of a test begins as.
const { join } = require('node:path');
const { spawnSync } = require('node:child_process');

module.exports = async () => {
  const { status } = spawnSync(process.execPath, [join(__dirname, 'empty-db.mjs')], { stdio: 'inherit' });
  if (status !== 0) throw new Error('The empty database could not be made.');
};
