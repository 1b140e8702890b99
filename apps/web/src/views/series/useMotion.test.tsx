import { act, renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { NoticeProvider } from '../../parts/notices';
import { WAYS } from '../../shared/pictures/windows';
import { answers, aShot } from '../../test/page';
import { useMotion } from './useMotion';

const Page = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>
    <NoticeProvider>
      <MemoryRouter>{children}</MemoryRouter>
    </NoticeProvider>
  </QueryClientProvider>
);
const motion = () => {
  const asked = answers({ 'POST /api/v1/series/{id}/sequences': { id: 'q' } });
  const { result } = renderHook(() => useMotion('s', aShot({ title: 'The quay' })), { wrapper: Page });
  const begun = async () => {
    act(() => result.current.begin());
    await waitFor(() => expect(asked.some((a) => a.method === 'POST')).toBe(true));
    return asked.find((a) => a.method === 'POST')!.body as { move: Record<string, unknown> };
  };
  return { result, begun };
};
const WHOLE = { x: 0.5, y: 0.5, size: 1 };

test('it begins with the first way of the camera, twelve frames, drafts', async () => {
  const { result, begun } = motion();
  expect(result.current.ready).toBe(true);
  expect(await begun()).toEqual({
    name: 'The quay',
    shotId: aShot().id,
    frames: 12,
    quality: 'draft',
    move: { camera: { from: WAYS[0].from, to: WAYS[0].to } },
  });
});

test('a camera that looks at all and stays is none: then nothing moves until something else does', async () => {
  const { result, begun } = motion();
  act(() => result.current.set({ camera: { from: WHOLE, to: { ...WHOLE } } }));
  expect(result.current.ready).toBe(false);
  act(() => result.current.set({ towards: '   ' }));
  expect(result.current.ready).toBe(false);
  act(() => result.current.set({ across: -0.2 }));
  expect(result.current.ready).toBe(true);
  expect((await begun()).move).toEqual({ across: -0.2 });
});

test('a camera that stays at a part is one; other words at the end move by themselves', async () => {
  const { result, begun } = motion();
  const part = { ...WHOLE, size: 0.5 };
  act(() => result.current.set({ camera: { from: part, to: { ...part } }, towards: 'at night' }));
  expect(result.current.ready).toBe(true);
  expect((await begun()).move).toEqual({ camera: { from: part, to: part }, towards: 'at night' });
});
