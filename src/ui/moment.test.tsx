import { screen } from '@testing-library/react';
import { renderAs } from '../../tests/support/render';
import { Moment } from './moment';

it('a moment is said by the clock of the house, and by the reader’s where that differs', () => {
  const zone = jest
    .spyOn(Intl.DateTimeFormat.prototype, 'resolvedOptions')
    .mockReturnValue({ timeZone: 'America/Lima' } as Intl.ResolvedDateTimeFormatOptions);
  renderAs(<Moment at="2026-05-20T12:00:00Z" />);
  expect(screen.getByRole('time').textContent).toBe(
    '20 May 2026, 12:00 (20 May 2026, 07:00 where you are)',
  );
  zone.mockReturnValue({ timeZone: 'UTC' } as Intl.ResolvedDateTimeFormatOptions);
  renderAs(<Moment at="2026-05-21T12:00:00Z" />);
  expect(screen.getByText('21 May 2026, 12:00')).toBeTruthy();
});
