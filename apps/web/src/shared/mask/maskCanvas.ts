import { tint } from './maskDrawing';

/** A painted canvas as a grey mask: white where it is painted, black elsewhere. */
export async function greyMask(painted: HTMLCanvasElement): Promise<Blob> {
  const layer = (draw: (c: CanvasRenderingContext2D) => void): HTMLCanvasElement => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [painted.width, painted.height];
    draw(canvas.getContext('2d')!);
    return canvas;
  };
  const white = layer((c) => {
    c.drawImage(painted, 0, 0);
    tint(c, '#fff');
  });
  const solid = layer((c) => {
    c.fillStyle = '#000';
    c.fillRect(0, 0, painted.width, painted.height);
    c.drawImage(white, 0, 0);
  });
  const png = await new Promise<Blob | null>((done) => solid.toBlob(done, 'image/png'));
  if (!png) throw new Error('The mask could not be made into a picture. Try again.');
  return png;
}
