import { Origin, type Actions, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Pointer } from 'selenium-webdriver/lib/input';

interface Move {
  readonly origin: Origin | WebElement;
  readonly x?: number;
  readonly y?: number;
  readonly duration: number;
}

/** A pointer with what the types of the driver leave out. */
interface Pen {
  move(to: Move): object;
  press(): object;
  release(): object;
}

/** Draws a stroke with a pen, as on a tablet: from the middle of something, so many px on. */
export async function penStroke(driver: WebDriver, from: WebElement, x: number, y: number): Promise<void> {
  const pen = new Pointer('pen', 'pen' as never) as unknown as Pen;
  const actions = driver.actions({ async: true }) as Actions & { insert(device: Pen, ...steps: object[]): Actions };
  await actions
    .insert(
      pen,
      pen.move({ origin: from, duration: 0 }),
      pen.press(),
      pen.move({ origin: Origin.POINTER, x, y, duration: 150 }),
      pen.release(),
    )
    .perform();
}
