import type { CardWords } from './cardWords';

export const de: CardWords = {
  labels: {
    Coffee: 'Kaffee',
    Components: 'Bestandteile',
    Roast: 'Röstung',
    Dose: 'Dosis',
    'In the cup': 'In der Tasse',
    Time: 'Zeit',
    Temperature: 'Temperatur',
    Ratio: 'Verhältnis',
    Tolerances: 'Toleranzen',
    'Taste holds': 'Geschmack hält',
    Programme: 'Programm',
    'Step by step': 'Schritt für Schritt',
    'Temperature is meant': 'Temperatur gemeint',
    Basket: 'Sieb',
    'Made on': 'Gemacht auf',
    Grind: 'Mahlung',
    Water: 'Wasser',
    Rest: 'Ruhe',
    Served: 'Serviert',
    'Look for': 'Zu finden',
    'The lot': 'Die Partie',
    Contains: 'Enthält',
    'When it is right': 'Wenn er stimmt',
    'When it ran short': 'Wenn er zu kurz lief',
    'When it ran long': 'Wenn er zu lang lief',
    Repeated: 'Wiederholt',
    'Temperature school': 'Temperaturschule',
  },
  clock: { pump: 'ab der Pumpe', firstDrip: 'ab dem ersten Tropfen' },
  process: {
    washed: 'Gewaschen',
    honey: 'Honey',
    natural: 'Natürlich getrocknet',
    anaerobicWashed: 'Anaerob gewaschen',
    anaerobicNatural: 'Anaerob, natürlich getrocknet',
    carbonicMaceration: 'Kohlensäuremazeration',
    infused: 'Aromatisiert, mitvergoren oder Thermoschock',
    wetHulled: 'Nass geschält',
    barrelAged: 'Im Fass gereift',
    decaf: 'Entkoffeiniert',
    other: 'Andere Aufbereitung',
  },
  roast: {
    '-2': 'Sehr hell',
    '-1': 'Hell',
    '-0.5': 'Mittelhell',
    '0': 'Mittel',
    '0.5': 'Mitteldunkel',
    '1': 'Dunkel',
    '2': 'Sehr dunkel',
  },
  style: {
    classic: 'Klassisch',
    longQuick: 'Lang und schnell',
    fastCoarse: 'Schnell und grob',
    soakFirst: 'Erst quellen',
    shortDense: 'Kurz und dicht',
    declining: 'Fallender Druck',
  },
  served: { straight: 'Pur', milk: 'Mit Milch', both: 'Pur und mit Milch' },
  tolerances: (doseG, yieldG) => `Dosis ± ${doseG} g, Tasse ± ${yieldG} g`,
  holds: {
    inTheCup: (g) => `± ${g} g in der Tasse`,
    within: (list, cost) =>
      `innerhalb ${list} (je etwa 0,3 von 10 Punkten${cost === null ? '' : `; was Cafés üblicherweise danebenliegen, kostet etwa ${cost}`})`,
  },
  basket: (name, diameter, rated) => `${name}, ${diameter} mm, für ${rated} g`,
  madeOn: (machine, grinder, dial) =>
    `${machine}; ${grinder} auf ${dial}. Ihre Skala wird anders sein: nach der Zeit mahlen.`,
  steps: (shown) => `${shown} ${shown === '1' ? 'Stufe' : 'Stufen'}`,
  grindSince: (steps, isFiner, version) =>
    `Etwa ${steps} ${isFiner ? 'feiner' : 'gröber'} als auf der Karte von Version ${version}, auf der Mühle des Hauses. Ihre wird anders sein: nach der Zeit mahlen.`,
  asSet: 'wie an der Maschine eingestellt',
  atGroup: (shown) => `an der Gruppe; diese Maschine stand auf ${shown}`,
  water: (hardness, alkalinity) =>
    [hardness && `Härte ${hardness}`, alkalinity && `Alkalinität ${alkalinity}`]
      .filter(Boolean)
      .join(', ') + ' (mg/L als CaCO₃)',
  rest: (from, to, day) => `Von Tag ${from} bis ${to} nach der Röstung vom ${day}`,
  lot: { harvest: 'Ernte', lot: 'Partie', grownAt: (m) => `gewachsen auf ${m}` },
  labelling: 'Was anzugeben ist, bestimmt das örtliche Lebensmittelrecht.',
  roasted: (word) => `Röstung ${word.toLowerCase()}`,
  repeated: (times) =>
    times > 1 ? `${times}-mal im Ziel wiederholt.` : 'Noch nicht im Ziel wiederholt.',
  version: (number, day) => `Version ${number}, ${day}.`,
  whatChanged: 'Was sich änderte und warum',
  newest: 'Neueste Version',
  caution:
    'Läuft nichts durch, warten Sie, bis der Druck entwichen ist, bevor Sie den Siebträger lösen. Brühgruppe, Siebträger und Dampf verbrühen. Für Arbeiten an Strom, Wasser und Druck: Anleitung des Herstellers und zugelassene Fachleute.',
  card: {
    paper: 'Karte auf Papier (PDF)',
    document: 'Rezeptdatei (JSON)',
    roastedOn: 'Geröstet am',
    earlier: 'Frühere Versionen',
    straight: 'Pur',
    inMilk: 'Mit Milch',
    models:
      'Nach einem Modell aus dem Rezept des Hauses berechnet: ein Anfang, der Geschmack entscheidet.',
  },
  phases: {
    title: 'Während der Kaffee altert',
    days: (from, to) => `Tag ${from}-${to}`,
    asCard: 'mahlen wie auf der Karte',
    kept: (phased, one) =>
      `So bleiben etwa ${phased} von 100 Bezügen innerhalb von 2,5 s um die Mitte, mit einer Einstellung ${one} (Modell, grob).`,
    against: (day) => `Gegenüber der Einstellung von Tag ${day}; der Kaffee altert, nicht Sie.`,
  },
  grind: {
    little: 'etwas',
    one: 'etwa eine Stufe',
    oneOrTwo: 'ein bis zwei Stufen',
    twoOrThree: 'zwei bis drei Stufen',
    several: 'mehrere Stufen',
    finer: (amount) => `${amount} feiner`,
    coarser: (amount) => `${amount} gröber`,
  },
  drinks: {
    title: 'Für Ihre Tassen',
    drink: 'Getränk',
    cup: 'Tasse',
    espresso: 'Espresso',
    button: 'Taste, grob',
    fill: 'Zum Auffüllen',
    milk: 'Milch',
    water: 'Wasser',
    rough:
      'Volumen von Espresso sind grob: Crema täuscht. Wiegen Sie eine Tasse und berichtigen Sie die Taste.',
  },
  fits: {
    title: 'Auf anderen Geräten',
    computed: 'berechnet',
    tried: 'erprobt',
    audience: {
      cafe: 'Café, 58 mm, Temperatur und Druck einstellbar',
      cafeFixed: 'Café, 58 mm, feste Temperatur',
      home54: 'Zuhause, 54 mm',
      homeLever: 'Zuhause, kleine Handhebelmaschine, 46-51 mm',
      noScale: 'Ohne Waage',
      pressurised: 'Druckerhöhendes Sieb',
    },
    notes: {
      same: () => 'Die Karte, wie sie ist.',
      pressurised: () =>
        'Ein druckerhöhendes Sieb macht seinen Widerstand selbst: Einmahlen ist nicht möglich, ein ehrliches Rezept gibt es nicht. Nehmen Sie ein offenes Sieb, oder gehen Sie allein nach dem Geschmack.',
      basket: ({ share }) => `Zeit ± ${share} %: hier beginnen, der Geschmack entscheidet.`,
      coarser: ({ steps }) => `${steps} gröber mahlen, als dieselbe Einstellung wäre.`,
      finer: ({ steps }) => `${steps} feiner mahlen, als dieselbe Einstellung wäre.`,
      soak: ({ s }) => `Etwa ${s} s der Zeit sind das Quellen von Hand.`,
      ratioForHeat: ({ c, isHotter }) =>
        isHotter
          ? `Brüht ${c} heißer als gemeint: mit einem kürzeren Verhältnis beantwortet.`
          : `Brüht ${c} kühler als gemeint: mit einem längeren Verhältnis beantwortet.`,
      heatOutOfReach: () =>
        'Das ist mehr, als ein Verhältnis ausgleicht: Die Tasse wird eine andere.',
      flush: () => 'Nach einer Pause spülen, bis es nicht mehr spuckt, Hände weg: es verbrüht.',
      style: ({ style, nearest }) =>
        `„${style}“ braucht eine Steuerung von Druck oder Fluss. Ohne sie ist „${nearest}“ am nächsten; was die andere Tasse ausmacht, geht verloren.`,
      noScale: ({ ml }) =>
        `Das Sieb bis zur Marke füllen, glatt gestrichen; bei etwa ${ml} Espresso mit Crema stoppen. Grob.`,
      clock: ({ s }) => `Nach Ihrer Uhr gezählt, mit ${s} s bis zum ersten Tropfen.`,
    },
  },
  sheet: {
    title: 'Prüfungen des Tages',
    blanks: 'Café: ____________________    Datum: ____________    Von: ____________',
    checks: ['vor dem Öffnen', 'am Vormittag', 'nach dem Mittag'],
    check: 'Prüfung',
    dose: 'Dosis, g',
    out: 'In der Tasse, g',
    time: 'Zeit, s',
    dial: 'Skala',
    taste: 'Geschmack, Bemerkung',
  },
};
