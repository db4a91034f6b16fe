require('./style-rules.cjs');

const { TestEnvironment } = require('jest-environment-jsdom');

/** Every test begins at one moment, in June, whatever day it is run on; from there time goes on as it does. */
const BEGINS = '2026-06-16T08:00:00.000Z';

module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    // the language of the device decides units until the keeper does
    Object.defineProperty(this.global.navigator, 'language', { value: 'en-GB', configurable: true });
    const Real = this.global.Date;
    const aheadMs = Real.parse(BEGINS) - Real.now();
    const now = () => Real.now() + aheadMs;
    // not a class of its own: libraries go through what stands on the prototype of Date
    this.global.Date = new Proxy(Real, {
      construct: (_, given, asked) => Reflect.construct(Real, given.length > 0 ? given : [now()], asked),
      get: (_, name) => (name === 'now' ? now : Reflect.get(Real, name)),
    });
  }
};
