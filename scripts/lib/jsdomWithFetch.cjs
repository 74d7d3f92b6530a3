// jsdom lacks what every browser has; Node's own stand in.
const { TestEnvironment } = require('jest-environment-jsdom');

module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    for (const name of [
      'fetch',
      'Request',
      'Response',
      'Headers',
      'TextEncoder',
      'TextDecoder',
      'structuredClone',
      'AbortController',
      'AbortSignal',
    ])
      this.global[name] = globalThis[name];
    this.global.ResizeObserver ??= class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
    this.global.matchMedia ??= () => ({ matches: false, addEventListener() {}, removeEventListener() {} });
  }
};
