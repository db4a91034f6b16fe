// The database's code is compiled quickly, as the server compiles it: a test does not run long enough for more.
require('node:v8').setFlagsFromString('--liftoff-only');
