const { TestEnvironment } = require('jest-environment-jsdom');
/** jsdom lacks a few platform globals that browsers and Node both have: hand Node's own to the page. */
module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    for (const k of [
      'TextEncoder',
      'TextDecoder',
      'structuredClone',
      'fetch',
      'Request',
      'Response',
      'Headers',
      'ReadableStream',
      'TransformStream',
      'BroadcastChannel',
    ])
      if (typeof this.global[k] === 'undefined') this.global[k] = globalThis[k];
  }
};
