import { massOfVolume, readVolume, USUAL_CREMA_G_PER_ML, volumeOfMass } from './volume';

describe('a yield read by volume', () => {
  it('weighs about three quarters of its millilitres', () => {
    expect(massOfVolume(48, USUAL_CREMA_G_PER_ML)).toBe(36);
    expect(volumeOfMass(36, USUAL_CREMA_G_PER_ML)).toBe(48);
    expect(massOfVolume(48, 0.9)).toBe(43.2);
  });

  it.each([
    ['48 ml', 48],
    ['48ml', 48],
    ['1.6 fl oz', 47.3],
    ['1,6 FL.OZ', 47.3],
    ['48', null],
    ['48 g', null],
    ['1.2.3 ml', null],
    ['', null],
  ])('reads %j as %s ml', (text, ml) => {
    expect(readVolume(text)).toBe(ml);
  });
});
