// The world of component tests: jsdom with what it lacks of a browser and the page needs.
const { TestEnvironment } = require('jest-environment-jsdom');

class NoObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}

module.exports = class Browser extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    const { window } = this.dom;
    Object.assign(this.global, {
      fetch,
      Request,
      Response,
      Headers,
      ReadableStream,
      TransformStream,
      TextEncoder,
      TextDecoder,
      structuredClone,
      BroadcastChannel,
      ResizeObserver: NoObserver,
      IntersectionObserver: NoObserver,
    });
    // jsdom lays nothing out and captures no pointer
    Object.assign(window.Element.prototype, {
      setPointerCapture() {},
      releasePointerCapture() {},
      hasPointerCapture: () => false,
      scrollIntoView() {},
    });
    // one window: whatever it wants to hold it holds
    Object.defineProperty(window.navigator, 'locks', {
      value: { request: (name, ...rest) => Promise.resolve(rest.at(-1)({ name })) },
    });
    window.matchMedia ??= () => ({ matches: false, addEventListener() {}, removeEventListener() {} });
  }
};
