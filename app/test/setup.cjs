// jsdom lays nothing out: the window gets a phone's size
const page = globalThis.document?.documentElement ?? {};
Object.defineProperty(page, 'clientWidth', { value: 390 });
Object.defineProperty(page, 'clientHeight', { value: 844 });
// jsdom has no structuredClone, without which the pretended IndexedDB keeps nothing
const { deserialize, serialize } = require('node:v8');
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
// while it is developed, React takes a trace of the stack for thousands of elements a second, to say who made one: a fifth of the
// time of a drawn page, and asked for by no test
Object.defineProperty(
  require('react').__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE,
  'recentlyCreatedOwnerStacks',
  { get: () => Infinity, set: () => {} },
);
