// jsdom asks a selector engine about every rule of every style sheet, its own two hundred among them, for an element and each
// of its ancestors, whenever a query by role asks whether something is visible. Here a rule is only asked about where its last
// part could be the element at all, as browsers do it; which rules match, and their order, stay the same.
const rules = require('jsdom/lib/jsdom/living/helpers/style-rules');
const { matchesDontThrow } = require('jsdom/lib/jsdom/living/helpers/selectors');

const asked = rules.forEachMatchingSheetRuleOfElement;
/** Names and classes alone: whoever has one of them is meant. */
const PLAIN = /^\.?[\w-]+(\s*,\s*\.?[\w-]+)*$/;

/** What an element must have for a selector to match it: a class (".x"), a name ("p"), or "*" where that is not plain to see. */
function keysOf(selector) {
  if (/[("@]/.test(selector)) return ['*'];
  return selector.split(',').map((one) => {
    const last = one
      .trim()
      .split(/[\s>+~]+/)
      .pop();
    return last.match(/\.[\w-]+/)?.[0] ?? last.match(/^[\w-]+/)?.[0].toLowerCase() ?? '*';
  });
}

/** Rules by what an element must have, each with its place: later ones win. Rules that apply to no screen are left out. */
function indexOf(list) {
  const byKey = new Map();
  const flat = Array.from(list).flatMap((rule) => {
    if (!rule.media) return [rule];
    return Array.from(rule.media).includes('screen') ? Array.from(rule.cssRules) : [];
  });
  flat.forEach((rule, place) => {
    if (!rule.selectorText) return;
    const entry = { rule, place, plain: PLAIN.test(rule.selectorText) };
    for (const key of new Set(keysOf(rule.selectorText))) {
      if (!byKey.has(key)) byKey.set(key, []);
      byKey.get(key).push(entry);
    }
  });
  return { byKey, length: list.length };
}

const indexes = new WeakMap();

function indexOfSheet(sheet) {
  const known = indexes.get(sheet);
  // react-native-web only ever adds rules
  if (known?.length === sheet.cssRules.length) return known.byKey;
  const made = indexOf(sheet.cssRules);
  indexes.set(sheet, made);
  return made.byKey;
}

let own;

rules.forEachMatchingSheetRuleOfElement = (element, handleRule) => {
  own ??= require('cssom').parse(require('jsdom/lib/jsdom/browser/default-stylesheet'));
  const classes = element.getAttributeNS(null, 'class')?.trim();
  const keys = ['*', element._localName, ...(classes ? classes.split(/\s+/).map((name) => `.${name}`) : [])];
  for (const sheet of [own, ...element._ownerDocument.styleSheets._list]) {
    const byKey = indexOfSheet(sheet);
    const candidates = new Map();
    for (const key of keys) for (const entry of byKey.get(key) ?? []) candidates.set(entry.place, entry);
    for (const place of [...candidates.keys()].sort((a, b) => a - b)) {
      const { rule, plain } = candidates.get(place);
      if (plain || matchesDontThrow(element, rule.selectorText)) handleRule(rule);
    }
  }
};

module.exports = { asked, quick: rules.forEachMatchingSheetRuleOfElement };
