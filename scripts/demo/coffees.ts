/** The coffees of the demo house: invented releases at every stage of their life. */
import type { DemoCoffee } from './truth';

export interface DemoBatch {
  readonly daysAgo: number;
  readonly label?: string;
  readonly roastLevel?: number;
  readonly colourGround?: number;
  readonly colourBean?: number;
  readonly weightLossPct?: number;
  readonly sampleG?: number;
}

export interface DemoRelease {
  readonly release: {
    readonly name: string;
    readonly serving: 'straight' | 'milk' | 'both';
    readonly promisedNotes: readonly string[];
    readonly tags?: readonly string[];
    readonly components: readonly Record<string, unknown>[];
    readonly [fact: string]: unknown;
  };
  /** Oldest first. */
  readonly batches: readonly DemoBatch[];
  readonly truth: DemoCoffee;
}

const single = (fields: Record<string, unknown>) => [{ sharePct: 100, ...fields }];

export const COFFEES = {
  bruma: {
    release: {
      name: 'Cerro Bruma',
      serving: 'straight',
      promisedNotes: ['blood orange', 'honey'],
      components: single({
        country: 'Guatemala',
        region: 'Huehuetenango',
        producer: 'Finca Cerro Bruma',
        variety: 'Bourbon',
        varietyClass: 'ordinary',
        process: 'washed',
        altitudeM: 1780,
        altitudeToM: 1860,
        harvest: 'January to April 2026',
        lot: 'CB-07',
        densityGPerL: 722,
        moisturePct: 10.9,
      }),
    },
    batches: [{ daysAgo: 14, roastLevel: 0, colourGround: 82, weightLossPct: 14.2, sampleG: 700 }],
    truth: { trueDial: 12, roastLevel: 0, ease: 0 },
  },
  veredas: {
    release: {
      name: 'Las Veredas Rojas',
      serving: 'both',
      promisedNotes: ['red apple', 'panela', 'hazelnut'],
      tags: ['winter menu'],
      components: single({
        country: 'Colombia',
        region: 'Huila',
        producer: 'Finca Las Veredas Rojas',
        variety: 'Caturra',
        varietyClass: 'ordinary',
        process: 'honey',
        altitudeM: 1700,
        densityGPerL: 712,
        moisturePct: 10.6,
      }),
    },
    batches: [
      { daysAgo: 61, roastLevel: -0.5, colourGround: 88, weightLossPct: 13.1, sampleG: 900 },
      { daysAgo: 19, roastLevel: -0.5, colourGround: 87, weightLossPct: 13.3, sampleG: 800 },
    ],
    truth: { trueDial: 12, roastLevel: -0.5, ease: -0.1 },
  },
  lume: {
    release: {
      name: 'Serra do Lume',
      serving: 'both',
      promisedNotes: ['cocoa', 'raisin', 'walnut'],
      pricePerKg: 21.5,
      suggestedRecipe: '18 g in, 40 g out, 27 s, 93 °C (from the importer’s sheet)',
      story:
        'Dried on patios under the wind of the ridge and turned by hand six times a day, then rested in parchment until the rains.',
      freeNotes:
        'Second year from this farm. Last year’s lot was darker in the cup; ask for an earlier pick.',
      components: single({
        country: 'Brazil',
        region: 'Minas Gerais',
        producer: 'Sítio Lume Alto',
        variety: 'Yellow Catuaí',
        varietyClass: 'ordinary',
        process: 'natural',
        altitudeM: 1100,
        altitudeToM: 1200,
        harvest: 'May to August 2026',
        lot: 'Lume 31',
        certification: 'Organic',
        cupScore: 84.5,
      }),
    },
    batches: [{ daysAgo: 11, roastLevel: 0, weightLossPct: 14.6, sampleG: 1000 }],
    truth: { trueDial: 10.5, roastLevel: 0, ease: 0.6 },
  },
  dembi: {
    release: {
      name: 'Dembi Ridge',
      serving: 'straight',
      promisedNotes: ['bergamot', 'apricot', 'black tea'],
      pricePerKg: 34,
      components: single({
        country: 'Ethiopia',
        region: 'Guji',
        producer: 'Dembi Ridge washing station',
        variety: 'Local landraces',
        varietyClass: 'landrace',
        process: 'washed',
        altitudeM: 1950,
        altitudeToM: 2150,
        harvest: '2025/26',
        lot: 'DR-14',
        cupScore: 87.25,
      }),
    },
    batches: [{ daysAgo: 2, roastLevel: -1, sampleG: 1000 }],
    truth: { trueDial: 8, roastLevel: -1, ease: -1.2 },
  },
  mirador: {
    release: {
      name: 'Cerro Alborada',
      serving: 'both',
      promisedNotes: ['milk chocolate', 'orange'],
      components: single({
        country: 'Guatemala',
        region: 'Huehuetenango',
        producer: 'Cerro Alborada growers',
        variety: 'Bourbon',
        process: 'washed',
        altitudeM: 1750,
      }),
    },
    batches: [{ daysAgo: 0, roastLevel: 0, colourGround: 80, sampleG: 1200 }],
    truth: { trueDial: 11, roastLevel: 0, ease: 0 },
  },
  harbour: {
    release: {
      name: 'Harbour Lamp',
      serving: 'milk',
      promisedNotes: ['dark chocolate', 'toasted almond'],
      tags: ['house blend'],
      components: [
        {
          sharePct: 60,
          country: 'Brazil',
          region: 'Cerrado',
          producer: 'Fazenda Rio Manso Velho',
          variety: 'Mundo Novo',
          varietyClass: 'ordinary',
          process: 'natural',
          altitudeM: 1050,
        },
        {
          sharePct: 25,
          country: 'Honduras',
          region: 'Copán',
          producer: 'Loma Quieta',
          variety: 'Catuaí',
          varietyClass: 'ordinary',
          process: 'washed',
          altitudeM: 1350,
        },
        {
          sharePct: 15,
          country: 'India',
          region: 'Karnataka',
          producer: 'Tall Pepper estate',
          variety: 'Robusta',
          varietyClass: 'robusta',
          process: 'washed',
          altitudeM: 900,
        },
      ],
    },
    batches: [
      { daysAgo: 96, label: 'H21', roastLevel: 0.5, colourGround: 72, sampleG: 1500 },
      { daysAgo: 40, label: 'H22', roastLevel: 0.5, colourGround: 71, sampleG: 1500 },
      { daysAgo: 12, label: 'H23', roastLevel: 0.5, colourGround: 73, sampleG: 1500 },
      { daysAgo: 8, label: 'H24', roastLevel: 0.5, colourGround: 70, sampleG: 1500 },
    ],
    truth: { trueDial: 14, roastLevel: 0.5, ease: 0.8 },
  },
  decaf: {
    release: {
      name: 'Late Ferry Decaf',
      serving: 'both',
      promisedNotes: ['brown sugar', 'fig'],
      tags: ['winter menu', 'evening'],
      components: single({
        country: 'Colombia',
        region: 'Cauca',
        producer: 'Growers of Alto Remanso',
        variety: 'Castillo',
        varietyClass: 'ordinary',
        process: 'decaf',
        altitudeM: 1650,
      }),
    },
    batches: [{ daysAgo: 10, roastLevel: 0, colourGround: 79, weightLossPct: 15.2, sampleG: 700 }],
    truth: { trueDial: 13, roastLevel: 0, ease: 1.1 },
  },
  tarn: {
    release: {
      name: 'Aurora Tarn',
      serving: 'straight',
      promisedNotes: ['blackcurrant', 'rhubarb', 'cane sugar'],
      components: single({
        country: 'Kenya',
        region: 'Nyeri',
        producer: 'Tarn factory',
        variety: 'SL28',
        varietyClass: 'ordinary',
        process: 'washed',
        altitudeM: 1850,
        densityGPerL: 735,
        moisturePct: 10.9,
      }),
    },
    batches: [
      { daysAgo: 30, roastLevel: -2, colourGround: 108, weightLossPct: 11.2, sampleG: 1000 },
    ],
    truth: { trueDial: 27, roastLevel: -2, ease: -2 },
  },
  calado: {
    release: {
      name: 'Monte Calado',
      serving: 'both',
      promisedNotes: ['caramel', 'pear'],
      components: single({
        country: 'El Salvador',
        region: 'Santa Ana',
        producer: 'Monte Calado',
        variety: 'Pacamara',
        varietyClass: 'bigBean',
        process: 'washed',
        altitudeM: 1450,
      }),
    },
    batches: [{ daysAgo: 29, roastLevel: 0, colourGround: 82, sampleG: 900 }],
    truth: { trueDial: 13.5, roastLevel: 0, ease: 0.4 },
  },
  niebla: {
    release: {
      name: 'Vereda Niebla',
      serving: 'straight',
      promisedNotes: ['strawberry', 'rose', 'cacao nib'],
      components: single({
        country: 'Colombia',
        region: 'Nariño',
        producer: 'Vereda Niebla growers',
        variety: 'Pink Bourbon',
        varietyClass: 'ordinary',
        process: 'anaerobicNatural',
        altitudeM: 1900,
      }),
    },
    batches: [{ daysAgo: 46, roastLevel: -1, colourGround: 96, sampleG: 700 }],
    truth: { trueDial: 11.5, roastLevel: -1, ease: 0.2 },
  },
  kibira: {
    release: {
      name: 'Kibira Slope',
      serving: 'both',
      promisedNotes: ['plum', 'clove'],
      components: single({
        country: 'Burundi',
        region: 'Kayanza',
        producer: 'Kibira Slope washing station',
        variety: 'Red Bourbon',
        varietyClass: 'ordinary',
        process: 'washed',
        altitudeM: 1800,
        densityGPerL: 722,
      }),
    },
    batches: [{ daysAgo: 17, roastLevel: -0.5, colourGround: 89, sampleG: 146 }],
    truth: { trueDial: 10.5, roastLevel: -0.5, ease: -0.6 },
  },
  sombra: {
    release: {
      name: 'Sombra Larga',
      serving: 'both',
      promisedNotes: ['honey', 'mandarin'],
      components: single({
        country: 'Costa Rica',
        region: 'Tarrazú',
        producer: 'Micro-mill Sombra Larga',
        variety: 'Caturra',
        varietyClass: 'ordinary',
        process: 'honey',
        altitudeM: 1600,
      }),
    },
    batches: [{ daysAgo: 8, roastLevel: 0, colourGround: 81, sampleG: 800 }],
    truth: { trueDial: 12.5, roastLevel: 0, ease: 0.3 },
  },
  embun: {
    release: {
      name: 'Bukit Embun',
      serving: 'milk',
      promisedNotes: ['cedar', 'dark cherry'],
      components: single({
        country: 'Indonesia',
        region: 'Aceh',
        producer: 'Bukit Embun growers',
        variety: 'Tim Tim',
        process: 'wetHulled',
        altitudeM: 1400,
      }),
    },
    batches: [{ daysAgo: 3, roastLevel: 1, colourGround: 66, sampleG: 800 }],
    truth: { trueDial: 14.5, roastLevel: 1, ease: 1.4 },
  },
  quay: {
    release: {
      name: 'Old Quay Cask',
      serving: 'both',
      promisedNotes: ['vanilla', 'rum raisin'],
      contains: 'Matured in used rum casks; may carry traces of alcohol',
      story:
        'Green coffee rested for eight weeks in casks of a harbour distillery, turned every other day.',
      components: single({
        country: 'Nicaragua',
        region: 'Jinotega',
        producer: 'El Remolino Viejo',
        variety: 'Maracaturra',
        varietyClass: 'bigBean',
        process: 'barrelAged',
        altitudeM: 1300,
      }),
    },
    batches: [{ daysAgo: 112, roastLevel: 0.5, sampleG: 600 }],
    truth: { trueDial: 14, roastLevel: 0.5, ease: 1 },
  },
} as const satisfies Record<string, DemoRelease>;
