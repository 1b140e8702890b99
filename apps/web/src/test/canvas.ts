/** Canvases for component tests: jsdom has none, so each element draws on a surface of the engine's library. */
import { createCanvas, type Canvas } from '@napi-rs/canvas';

const surfaces = new WeakMap<HTMLCanvasElement, Canvas>();

function surfaceOf(element: HTMLCanvasElement): Canvas {
  const known = surfaces.get(element);
  if (known?.width === element.width && known.height === element.height) return known;
  const made = createCanvas(element.width, element.height);
  surfaces.set(element, made);
  return made;
}

/** What a canvas element holds, as an image of bytes: red, green, blue, opacity. */
export const pixelsOn = (element: HTMLCanvasElement): Uint8ClampedArray =>
  surfaceOf(element).getContext('2d').getImageData(0, 0, element.width, element.height).data;

/** From now on, until mocks are restored, canvas elements can be drawn on and be laid on each other. */
export function drawableCanvases(): void {
  jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockImplementation(function (this: HTMLCanvasElement) {
    const context = surfaceOf(this).getContext('2d');
    const draw = Object.getPrototypeOf(context).drawImage as (...args: unknown[]) => void;
    context.drawImage = (image: unknown, ...rest: unknown[]) =>
      draw.call(context, image instanceof HTMLCanvasElement ? surfaceOf(image) : image, ...rest);
    return context as never;
  });
}
