import { render } from '@testing-library/react';
import { doableNow, saysAll } from './doable';

const namesOn = (page: React.ReactElement) => doableNow(render(page).container).map((d) => d.name);

test('buttons, links, fields and handles are told by the names that are said of them', () => {
  expect(
    namesOn(
      <>
        <button aria-label="Keeper">o</button>
        <button>
          Render <b>proof</b>
        </button>
        <a href="/library">Library</a>
        <label>
          Seed <input />
        </label>
        <span id="weight">Weight of Marsh</span>
        <div role="slider" aria-labelledby="weight" aria-valuenow={1} tabIndex={0} />
        <button title="Closer">+</button>
        <input />
      </>,
    ),
  ).toEqual(['Keeper', 'Render proof', 'Library', 'Seed', 'Weight of Marsh', '+']);
});

test('what cannot be used is not told, nor what lies over the page', () => {
  expect(
    namesOn(
      <>
        <button disabled>Undo</button>
        <button aria-disabled>Redo</button>
        <div aria-hidden="true">
          <button>Hidden</button>
        </div>
        <div role="dialog">
          <button>Close</button>
        </div>
        <button>Paint a mask</button>
      </>,
    ),
  ).toEqual(['Paint a mask']);
});

test('where it stands, its keys, and whether choosing it presses it', () => {
  const page = render(
    <section aria-label="Marks">
      <button aria-keyshortcuts="K">Keeper</button>
      <button aria-keyshortcuts="Control+Enter Meta+Enter">Render</button>
      <textarea aria-label="Note" />
    </section>,
  ).container;
  expect(doableNow(page)).toMatchObject([
    { name: 'Keeper', where: 'Marks', keys: 'K', pressed: true },
    { name: 'Render', keys: 'Ctrl + Enter, Meta + Enter', pressed: true },
    { name: 'Note', where: 'Marks', keys: undefined, pressed: false },
  ]);
});

test('what has a key comes first, what every page has last, and files are chosen elsewhere', () => {
  expect(
    namesOn(
      <>
        <header>
          <button>Library</button>
        </header>
        <main>
          <button>Paint a mask</button>
          <button aria-keyshortcuts="Control+Enter">Render</button>
          <input type="file" aria-label="Picture files to add" />
        </main>
      </>,
    ),
  ).toEqual(['Render', 'Paint a mask', 'Library']);
});

test('the same thing of one part is told once, of two parts twice', () => {
  const row = (
    <>
      <button>Open</button>
      <button>Open</button>
    </>
  );
  expect(
    namesOn(
      <>
        <section aria-label="Takes">{row}</section>
        <section aria-label="Shots">{row}</section>
      </>,
    ),
  ).toEqual(['Open', 'Open']);
});

test.each([
  ['Make a series', 'ser ma', true],
  ['Make a series', '', true],
  ['Make a series', 'eries', false],
  ['Weight of “Marsh, dawn”', 'marsh dawn weight', true],
  ['Keeper', 'keeper reject', false],
])('%s answers to "%s": %s', (text, typed, says) => expect(saysAll(text, typed)).toBe(says));
