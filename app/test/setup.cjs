// jsdom lays nothing out: the window gets a phone's size
Object.defineProperty(document.documentElement, 'clientWidth', { value: 390 });
Object.defineProperty(document.documentElement, 'clientHeight', { value: 844 });
// jsdom has no structuredClone, without which the pretended IndexedDB keeps nothing
const { deserialize, serialize } = require('node:v8');
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
