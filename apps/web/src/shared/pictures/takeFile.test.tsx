import type { DragEvent } from 'react';
import { copyPicture, dragOut, fileNameOf } from './takeFile';

test.each([
  ['a mill in the marsh', 'a mill in the marsh 4.png'],
  ['Ilse, poles: the "punt" / home', 'Ilse poles the punt home 4.png'],
  ['', 'picture 4.png'],
  ['../../etc', 'etc 4.png'],
  [`${'a long walk along the dyke '.repeat(9)}`, 'a long walk along the dyke a long walk along the dyke a long 4.png'],
  ['x'.repeat(200), 'picture 4.png'],
  ['мельница в плавнях', 'мельница в плавнях 4.png'],
])('the file of “%s” is called “%s”', (prompt, name) => {
  expect(fileNameOf({ prompt, seed: 4 })).toBe(name);
});

test('what is dragged out becomes a file of that name, from its full address', () => {
  const setData = jest.fn();
  dragOut({ dataTransfer: { setData } } as unknown as DragEvent, '/api/v1/blobs/ab', { prompt: 'a mill', seed: 7 });
  expect(setData).toHaveBeenCalledWith('DownloadURL', `image/png:a mill 7.png:${location.origin}/api/v1/blobs/ab`);
});

describe('copying', () => {
  const write = jest.fn(() => Promise.resolve());
  const given = globalThis as { ClipboardItem?: unknown };
  afterEach(() => {
    delete given.ClipboardItem;
    write.mockClear();
  });

  test('says what else can be done where the browser does not let a page copy', async () => {
    await expect(copyPicture('/p')).rejects.toThrow('Save the file instead');
  });

  test('puts the PNG itself on the clipboard', async () => {
    const items: Record<string, Promise<Blob>>[] = [];
    given.ClipboardItem = class {
      constructor(of: Record<string, Promise<Blob>>) {
        items.push(of);
      }
    };
    Object.defineProperty(navigator, 'clipboard', { configurable: true, value: { write } });
    globalThis.fetch = jest.fn(() => Promise.resolve({ blob: () => Promise.resolve('bytes') })) as never;
    await copyPicture('/api/v1/blobs/ab');
    expect(globalThis.fetch).toHaveBeenCalledWith('/api/v1/blobs/ab');
    expect(write).toHaveBeenCalledTimes(1);
    await expect(items[0]['image/png']).resolves.toBe('bytes');
  });
});
