const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const glyphsInUse = require('./metro/glyphs');

const config = getDefaultConfig(__dirname);

// Metro takes one worker on two cores by default: a cold export takes twice as long.
config.maxWorkers = 2;

// zod's entry re-exports all its locales (about 300 KB); keep English alone.
// the table of icons names seven thousand: only those that are named in the sources are kept
const glyphTable =
  require.resolve('@expo/vector-icons/build/vendor/react-native-vector-icons/glyphmaps/MaterialCommunityIcons.json');
const glyphs = glyphsInUse(
  glyphTable,
  [
    path.join(__dirname, 'src'),
    path.join(
      path.dirname(require.resolve('react-native-paper/package.json')),
      'lib',
      'module',
      'components',
    ),
  ],
  path.join(__dirname, '.expo', 'glyphs.json'),
);

const zodLocales = path.join(__dirname, 'metro', 'zod-locales.js');
config.resolver.resolveRequest = (context, name, platform) => {
  if (
    name.endsWith('/locales/index.js') &&
    context.originModulePath.includes(`${path.sep}node_modules${path.sep}zod${path.sep}`)
  ) {
    return { type: 'sourceFile', filePath: zodLocales };
  }
  if (name.endsWith('/glyphmaps/MaterialCommunityIcons.json'))
    return { type: 'sourceFile', filePath: glyphs };
  return context.resolveRequest(context, name, platform);
};

// a module runs when it is first used, not all of them before the first picture
config.transformer.getTransformOptions = async () => ({
  transform: { experimentalImportSupport: false, inlineRequires: true },
});

module.exports = config;
