import { get } from 'http';
import { openStudio, type TestStudio } from '../../test/studio';
import { EventsService } from './events.service';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

test('events reach everybody who listens, as server-sent events of their type', async () => {
  const { port } = studio.app.getHttpServer().address() as { port: number };
  const text = await new Promise<string>((resolve, reject) => {
    const call = get({ port, host: '127.0.0.1', path: '/api/v1/events' }, (response) => {
      expect(response.headers['content-type']).toContain('text/event-stream');
      let received = '';
      response.on('data', (chunk: Buffer) => {
        received += chunk.toString();
        if (received.includes('progress')) {
          call.destroy();
          resolve(received);
        }
      });
    });
    call.on('error', (e) => (e.message === 'socket hang up' ? undefined : reject(e)));
    const events = studio.app.get(EventsService);
    setTimeout(() => {
      events.publish({ type: 'mix', id: 'm1' });
      events.publish({ type: 'progress', id: 't1', fraction: 0.5, step: 'level 2 of 4' });
    }, 300);
  });
  expect(text).toMatch(/event: mix\n[^]*data: \{"type":"mix","id":"m1"\}/);
  expect(text).toMatch(/event: progress\n[^]*"fraction":0.5/);
});
