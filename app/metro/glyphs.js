const fs = require('node:fs');
const path = require('node:path');

/** Every text between quotes in the sources below a folder. */
function* quoted(folder) {
  for (const entry of fs.readdirSync(folder, { withFileTypes: true })) {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* quoted(file);
    else if (/\.[jt]sx?$/.test(entry.name))
      for (const [, word] of fs.readFileSync(file, 'utf8').matchAll(/['"`]([a-z0-9-]+)['"`]/g)) yield word;
  }
}

/**
 * Writes the part of an icon set's table of letters that these sources name: the whole one has seven thousand. A word that
 * only happens to be the name of an icon does no harm.
 * @returns {string} the file
 */
module.exports = function glyphsInUse(table, sources, into) {
  const all = JSON.parse(fs.readFileSync(table, 'utf8'));
  const used = {};
  for (const folder of sources) for (const word of quoted(folder)) if (word in all) used[word] = all[word];
  fs.mkdirSync(path.dirname(into), { recursive: true });
  fs.writeFileSync(into, JSON.stringify(used, Object.keys(used).sort()));
  return into;
};
