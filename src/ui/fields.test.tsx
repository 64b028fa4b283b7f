import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { QuantityInput } from './fields';
import { nudge } from './nudge';
import { readNumber } from '@/core/readNumber';

function Dose({ fault }: { fault?: string }) {
  const [value, setValue] = useState('18');
  return (
    <QuantityInput
      label="Dose"
      quantity="doseG"
      step={0.1}
      value={value}
      onChange={setValue}
      fault={fault}
    />
  );
}

describe('a measured figure', () => {
  it('is nudged by the step of the scale, ten at a time with Shift, inside its range', async () => {
    const user = userEvent.setup();
    render(<Dose />);
    const field = screen.getByLabelText('Dose, g');
    await user.click(field);
    await user.keyboard('{ArrowUp}{ArrowUp}{ArrowDown}');
    expect(field).toHaveProperty('value', '18.1');
    await user.keyboard('{Shift>}{ArrowDown}{/Shift}');
    expect(field).toHaveProperty('value', '17.1');
    expect(nudge('40', 0.1, 'doseG')).toBe('40');
    expect(nudge('', 0.1, 'doseG')).toBe('3.1');
  });

  it('reads a decimal comma, tells empty from zero, and keeps what is no number', () => {
    expect(readNumber('36,5')).toBe(36.5);
    expect(readNumber(' 0 ')).toBe(0);
    expect(readNumber('')).toBeUndefined();
    expect(readNumber('soon')).toBe('soon');
  });

  it('is described by its fault', () => {
    render(<Dose fault="Dose 180 g is outside 3-40 g. Enter 3-40 g." />);
    const field = screen.getByLabelText('Dose, g');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    const described = field.getAttribute('aria-describedby')!.split(' ');
    const words = described.map((id) => document.getElementById(id)?.textContent).join(' ');
    expect(words).toContain('outside 3-40 g');
  });

  it('gives the keys back to the bench on Escape', async () => {
    const user = userEvent.setup();
    render(<Dose />);
    await user.click(screen.getByLabelText('Dose, g'));
    await user.keyboard('{Escape}');
    expect(document.activeElement).toBe(document.body);
  });
});
