// jsdom asks a whole selector engine about every rule of the style sheet, for an element and each of its ancestors, whenever
// a query by role asks whether something is visible. Nearly all of these rules are one class of react-native-web: that is
// answered here from the element's own classes, and everything else by the engine as before.
const selectors = require('jsdom/lib/jsdom/living/helpers/selectors');

const ONE_CLASS = /^\.([\w-]+)$/;
const classOf = new Map();
const { matchesDontThrow } = selectors;

selectors.matchesDontThrow = (element, selector) => {
  let name = classOf.get(selector);
  if (name === undefined) {
    name = ONE_CLASS.exec(selector)?.[1] ?? null;
    classOf.set(selector, name);
  }
  return name === null ? matchesDontThrow(element, selector) : element.classList.contains(name);
};

module.exports = require('jest-environment-jsdom').default;
