const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

// Metro takes one worker on two cores by default: a cold export takes twice as long.
config.maxWorkers = 2;

// zod's entry re-exports all its locales (about 300 KB); keep English alone.
const zodLocales = path.join(__dirname, 'metro', 'zod-locales.js');
config.resolver.resolveRequest = (context, name, platform) => {
  if (
    name.endsWith('/locales/index.js') &&
    context.originModulePath.includes(`${path.sep}node_modules${path.sep}zod${path.sep}`)
  ) {
    return { type: 'sourceFile', filePath: zodLocales };
  }
  return context.resolveRequest(context, name, platform);
};

// a module runs when it is first used, not all of them before the first picture
config.transformer.getTransformOptions = async () => ({
  transform: { experimentalImportSupport: false, inlineRequires: true },
});

module.exports = config;
