/** Fields that show their own faults; any other fault is listed under the form. */
export const SHOWN_RELEASE = [
  'release.name',
  'serving',
  'sharePct',
  'country',
  'region',
  'producer',
  'variety',
  'varietyClass',
  'process',
  'altitudeM',
  'densityGPerL',
  'moisturePct',
];

export const SHOWN_BATCH = [
  'label',
  'roastDate',
  'roastLevel',
  'colourBean',
  'colourGround',
  'crush',
  'weightLossPct',
  'sampleG',
];
