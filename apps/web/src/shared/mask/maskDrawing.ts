/** A place on a picture, 0..1 from the left and from the top. */
export type Place = readonly [x: number, y: number];

/** What a stroke is made with: width in px of the canvas, and whether it takes away. */
export interface Brush {
  readonly width: number;
  readonly erasing: boolean;
}

const STEPS_BACK = 30;

/** A mask that is being painted on a canvas: opaque in one colour where it acts. Each stroke or filling can be taken back. */
export class MaskDrawing {
  private readonly steps: ImageData[] = [];

  constructor(
    private readonly context: CanvasRenderingContext2D,
    private readonly hue: string,
  ) {}

  /** Whether there is something to take back. */
  get canUndo(): boolean {
    return this.steps.length > 0;
  }

  /** What is painted. */
  get pixels(): ImageData {
    return this.image();
  }

  /** Begins something that is taken back as one. */
  begin(): void {
    this.steps.push(this.image());
    if (this.steps.length > STEPS_BACK) this.steps.shift();
  }

  /** Takes the last thing back; nothing where there is none. */
  undo(): void {
    const last = this.steps.pop();
    if (last) this.context.putImageData(last, 0, 0);
  }

  /** One piece of a stroke, from place to place; a dot where both are the same. */
  stroke(from: Place, to: Place, { width, erasing }: Brush): void {
    const { context: c } = this;
    const { width: w, height: h } = c.canvas;
    c.globalCompositeOperation = erasing ? 'destination-out' : 'source-over';
    c.strokeStyle = this.hue;
    c.lineCap = 'round';
    c.lineWidth = width;
    c.beginPath();
    c.moveTo(from[0] * w, from[1] * h);
    // a line of no length draws no dot
    c.lineTo(to[0] * w + 0.01, to[1] * h);
    c.stroke();
    c.globalCompositeOperation = 'source-over';
  }

  /** Paints all that a grey mask shows in white, beside what is painted already. */
  add(mask: CanvasImageSource): void {
    this.begin();
    const { context: c } = this;
    const over = document.createElement('canvas');
    [over.width, over.height] = [c.canvas.width, c.canvas.height];
    new MaskDrawing(over.getContext('2d', { willReadFrequently: true })!, this.hue).lay(mask);
    c.drawImage(over, 0, 0);
  }

  /** Paints everything, or takes everything away. */
  all(paint: boolean): void {
    this.begin();
    const { context: c } = this;
    c.clearRect(0, 0, c.canvas.width, c.canvas.height);
    c.fillStyle = this.hue;
    if (paint) c.fillRect(0, 0, c.canvas.width, c.canvas.height);
  }

  /** Lays a grey mask in: opaque where it is white. */
  lay(mask: CanvasImageSource): void {
    const { context: c } = this;
    const { width, height } = c.canvas;
    c.drawImage(mask, 0, 0, width, height);
    const image = this.image();
    const { data } = image;
    for (let i = 0; i < data.length; i += 4) data[i + 3] = data[i];
    c.putImageData(image, 0, 0);
    tint(c, this.hue);
  }

  private image(): ImageData {
    return this.context.getImageData(0, 0, this.context.canvas.width, this.context.canvas.height);
  }
}

/** Gives everything that is painted on a canvas one colour; how opaque it is stays. */
export function tint(context: CanvasRenderingContext2D, colour: string): void {
  context.globalCompositeOperation = 'source-in';
  context.fillStyle = colour;
  context.fillRect(0, 0, context.canvas.width, context.canvas.height);
  context.globalCompositeOperation = 'source-over';
}
