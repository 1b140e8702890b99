import { fireEvent, screen } from '@testing-library/react';
import { anInfluence, show } from '../../test/page';
import { TrayPicture, type TrayItem } from './TrayPicture';

const item = { id: 'r', name: 'Carved quay', hue: 'style', influence: anInfluence() } as TrayItem;
const tray = ({ starts = true } = {}) => {
  const [onAdd, onStart] = [jest.fn(), jest.fn()];
  show(<TrayPicture item={item} onAdd={onAdd} onStart={starts ? onStart : undefined} />);
  return { picture: screen.getByRole('button', { name: 'Carved quay, style: add to the course' }), onAdd, onStart };
};

test('Enter and a double click add it to the course', () => {
  const { picture, onAdd, onStart } = tray();
  fireEvent.keyDown(picture, { key: 'Enter' });
  fireEvent.doubleClick(picture);
  expect(onAdd.mock.calls).toEqual([[item.influence], [item.influence]]);
  expect(onStart).not.toHaveBeenCalled();
});

test('Shift + Enter starts from it, where a picture can', () => {
  const { picture, onAdd, onStart } = tray();
  fireEvent.keyDown(picture, { key: 'Enter', shiftKey: true });
  expect(onStart).toHaveBeenCalledWith('r');
  expect(onAdd).not.toHaveBeenCalled();
});

test('else it is added', () => {
  const { picture, onAdd } = tray({ starts: false });
  fireEvent.keyDown(picture, { key: 'Enter', shiftKey: true });
  expect(onAdd).toHaveBeenCalledWith(item.influence);
});

test('other keys do nothing', () => {
  const { picture, onAdd, onStart } = tray();
  fireEvent.keyDown(picture, { key: 'a', shiftKey: true });
  expect(onAdd).not.toHaveBeenCalled();
  expect(onStart).not.toHaveBeenCalled();
});
