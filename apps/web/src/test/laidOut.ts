/** jsdom lays nothing out: every element is told to be so many px wide and high, so that lists know what is in sight. */
export function laidOut(width: number, height: number): void {
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, value: height });
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { configurable: true, value: width });
  global.ResizeObserver = class {
    constructor(private readonly tell: ResizeObserverCallback) {}
    observe() {
      this.tell([{ contentRect: { width, height } } as ResizeObserverEntry], this);
    }
    unobserve() {}
    disconnect() {}
  };
}
