import fc from 'fast-check';
import {
  celsiusOf,
  fahrenheitOf,
  fluidOuncesOf,
  massWords,
  METRIC,
  ML_PER_FL_OZ,
  temperatureStepWords,
  temperatureWords,
  type Units,
  volumeWords,
} from './units';

const AMERICAN: Units = { volume: 'flOz', temperature: 'F' };

describe('a person’s units', () => {
  it('follow the published factors', () => {
    expect(fahrenheitOf(93)).toBeCloseTo(199.4, 9);
    expect(celsiusOf(212)).toBeCloseTo(100, 9);
    expect(fluidOuncesOf(29.5735)).toBeCloseTo(1, 12);
  });

  it('come back to what they were', () => {
    fc.assert(
      fc.property(fc.double({ min: -50, max: 150, noNaN: true }), (value) => {
        expect(celsiusOf(fahrenheitOf(value))).toBeCloseTo(value, 9);
        expect(fluidOuncesOf(value) * ML_PER_FL_OZ).toBeCloseTo(value, 9);
      }),
    );
  });

  it('say masses, volumes and temperatures with the digits of the scale', () => {
    expect(massWords(18)).toBe('18.0 g');
    expect(volumeWords(48, METRIC)).toBe('48 ml');
    expect(volumeWords(48, AMERICAN)).toBe('1.62 fl oz');
    expect(massWords(130, 0)).toBe('130 g');
    expect(temperatureWords(92.5, METRIC)).toBe('92.5 °C');
    expect(temperatureWords(92.5, AMERICAN)).toBe('198.5 °F');
  });

  it('know that a difference of temperature has no zero point', () => {
    expect(temperatureStepWords(1.5, AMERICAN)).toBe('2.7 °F');
  });
});
