import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { openHouse, send } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { findReleaseNamed } from '@/data/releases';
import { NewRelease } from './NewRelease';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const BAG = [
  'Guji, Ethiopia',
  'Variety: Kurume',
  'Process: washed',
  'Altitude: 1,950-2,150 masl',
  'Roasted on: 12 May 2026',
  'Tasting notes: bergamot, apricot',
  'Shade grown under old trees.',
].join('\n');

it('puts into the form what the person agrees to, and stores nothing before it is saved', async () => {
  const sent = fakeServer(DONE);
  renderAs(<NewRelease like={null} />);
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: 'Paste the bag' }));
  await user.click(screen.getByLabelText('What the bag says'));
  await user.paste(BAG);
  await user.click(screen.getByRole('button', { name: 'Read it' }));
  const region = await screen.findByLabelText(/^Region: Guji/);
  expect(screen.getByText('Process: washed')).toBeTruthy();
  expect(screen.getByText('Shade grown under old trees.')).toBeTruthy();
  await user.click(region);
  await user.click(screen.getByRole('button', { name: 'Take into the form' }));
  expect(sent).toHaveLength(0);
  const value = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;
  expect([value('Country'), value('Region'), value('Variety')]).toEqual(['Ethiopia', '', 'Kurume']);
  expect([value('Altitude, m'), value('Altitude, up to, m')]).toEqual(['1950', '2150']);
  expect(value('Promised notes')).toBe('bergamot, apricot');
  const day = screen.getByRole('group', { name: 'Roast date' });
  expect(
    within(day)
      .getAllByRole('spinbutton')
      .map(({ textContent }) => textContent),
  ).toEqual(['05', '12', '2026']);
  await user.type(screen.getByLabelText('Name of the release'), 'Dembi Two');
  await user.click(screen.getByRole('button', { name: 'Create and read it' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  const { db } = openHouse();
  send(db, 'createRelease', sent[0]!.input);
  const release = findReleaseNamed(db, 'Dembi Two')!;
  expect(release.freeNotes).toBe('Shade grown under old trees.');
  expect(release.components[0]).toMatchObject({
    country: 'Ethiopia',
    region: '',
    varietyClass: 'landrace',
    process: 'washed',
    altitudeM: 1950,
    altitudeToM: 2150,
  });
  expect(release.batches[0]!.roastDate).toBe('2026-05-12');
});
