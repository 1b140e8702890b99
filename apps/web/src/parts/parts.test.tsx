import { act, screen, within, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, show } from '../test/page';
import { TroubledJobs } from './TroubledJobs';

const JOB = { id: 'j', kind: 'take', subject: 't', reason: 'The engine stopped.', setAside: true, attempts: 3 };

describe('work that did not get done', () => {
  test('is told with its reason, and can be tried again', async () => {
    const asked = answers({ 'GET /api/v1/jobs/troubled': [JOB], 'POST /api/v1/jobs/{id}/retry': {} });
    show(<TroubledJobs />);
    await userEvent.click(await screen.findByRole('button', { name: '1 not done' }));
    const item = within(await screen.findByRole('listitem'));
    expect(item.getByText('A take')).toBeVisible();
    expect(item.getByText('The engine stopped.')).toBeVisible();
    await userEvent.click(item.getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(asked.find((a) => a.method === 'POST')?.params).toEqual({ path: { id: 'j' } }));
  });

  test('a retry that fails says why', async () => {
    answers({ 'GET /api/v1/jobs/troubled': [JOB], 'POST /api/v1/jobs/{id}/retry': 409 });
    show(<TroubledJobs />);
    await userEvent.click(await screen.findByRole('button', { name: '1 not done' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('No: 409')).toBeVisible();
  });

  test('nothing is shown while there is none', async () => {
    const asked = answers({ 'GET /api/v1/jobs/troubled': [] });
    show(<TroubledJobs />);
    await act(() => new Promise((done) => setTimeout(done, 20)));
    expect(asked).toHaveLength(1);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
