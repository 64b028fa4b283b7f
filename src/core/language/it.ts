import type { CardWords } from './cardWords';

export const it: CardWords = {
  labels: {
    Coffee: 'Caffè',
    Components: 'Componenti',
    Roast: 'Tostatura',
    Dose: 'Dose',
    'In the cup': 'In tazza',
    Time: 'Tempo',
    Temperature: 'Temperatura',
    Ratio: 'Rapporto',
    Tolerances: 'Tolleranze',
    'Taste holds': 'Il gusto tiene',
    Programme: 'Programma',
    'Step by step': 'Passo per passo',
    'Temperature is meant': 'Temperatura intesa',
    Basket: 'Filtro',
    'Made on': 'Fatto su',
    Grind: 'Macinatura',
    Water: 'Acqua',
    Rest: 'Riposo',
    Served: 'Servito',
    'Look for': 'Da ritrovare',
    'The lot': 'Il lotto',
    Contains: 'Contiene',
    'When it is right': 'Quando è giusto',
    'When it ran short': 'Quando è troppo corto',
    'When it ran long': 'Quando è troppo lungo',
    Repeated: 'Ripetuto',
    'Temperature school': 'Scuola di temperatura',
  },
  clock: { pump: 'dalla pompa', firstDrip: 'dalla prima goccia' },
  process: {
    washed: 'Lavato',
    honey: 'Honey',
    natural: 'Naturale',
    anaerobicWashed: 'Lavato anaerobico',
    anaerobicNatural: 'Naturale anaerobico',
    carbonicMaceration: 'Macerazione carbonica',
    infused: 'Infuso, co-fermentato o shock termico',
    wetHulled: 'Decorticato umido',
    barrelAged: 'Invecchiato in botte',
    decaf: 'Decaffeinato',
    other: 'Altro processo',
  },
  roast: {
    '-2': 'Molto chiara',
    '-1': 'Chiara',
    '-0.5': 'Medio-chiara',
    '0': 'Media',
    '0.5': 'Medio-scura',
    '1': 'Scura',
    '2': 'Molto scura',
  },
  style: {
    classic: 'Classico',
    longQuick: 'Lungo e rapido',
    fastCoarse: 'Veloce e grosso',
    soakFirst: 'Prima in ammollo',
    shortDense: 'Corto e denso',
    declining: 'Pressione calante',
  },
  served: { straight: 'Liscio', milk: 'Con latte', both: 'Liscio e con latte' },
  tolerances: (doseG, yieldG) => `dose ± ${doseG} g, tazza ± ${yieldG} g`,
  holds: {
    inTheCup: (g) => `± ${g} g in tazza`,
    within: (list, cost) =>
      `entro ${list} (circa 0,3 punti su 10 ciascuno${cost === null ? '' : `; lo scarto abituale dei bar costa circa ${cost}`})`,
  },
  basket: (name, diameter, rated) => `${name}, ${diameter} mm, per ${rated} g`,
  madeOn: (machine, grinder, dial) =>
    `${machine}; ${grinder} a ${dial}. La vostra ghiera sarà diversa: macinate secondo il tempo.`,
  steps: (shown) => `${shown} ${shown === '1' ? 'tacca' : 'tacche'}`,
  grindSince: (steps, isFiner, version) =>
    `Circa ${steps} più ${isFiner ? 'fine' : 'grosso'} che sulla scheda della versione ${version}, sul macinino della casa. Il vostro sarà diverso: macinate secondo il tempo.`,
  asSet: 'come impostata sulla macchina',
  atGroup: (shown) => `al gruppo; questa macchina era impostata a ${shown}`,
  water: (hardness, alkalinity) =>
    [hardness && `durezza ${hardness}`, alkalinity && `alcalinità ${alkalinity}`]
      .filter(Boolean)
      .join(', ') + ' (mg/L come CaCO₃)',
  rest: (from, to, day) => `Dal giorno ${from} al ${to} dopo la tostatura del ${day}`,
  lot: { harvest: 'raccolto', lot: 'lotto', grownAt: (m) => `coltivato a ${m}` },
  labelling: 'Che cosa va dichiarato lo decide la legge alimentare locale.',
  roasted: (word) => `tostatura ${word.toLowerCase()}`,
  repeated: (times) =>
    times > 1 ? `Ripetuto nel bersaglio ${times} volte.` : 'Non ancora ripetuto nel bersaglio.',
  version: (number, day) => `Versione ${number}, ${day}.`,
  whatChanged: 'Che cosa è cambiato e perché',
  newest: 'Versione più recente',
  caution:
    'Se non scende nulla, aspettate che la pressione si sfoghi prima di allentare il portafiltro. Gruppo, portafiltro e vapore scottano. Per lavori su corrente, acqua e pressione: il manuale del costruttore e un tecnico abilitato.',
  card: {
    paper: 'Scheda su carta (PDF)',
    document: 'File della ricetta (JSON)',
    roastedOn: 'Tostato il',
    earlier: 'Versioni precedenti',
    straight: 'Liscio',
    inMilk: 'Con latte',
    models:
      'Calcolato da un modello a partire dalla ricetta della casa: un inizio, decide il gusto.',
  },
  phases: {
    title: 'Mentre il caffè invecchia',
    days: (from, to) => `giorno ${from}-${to}`,
    asCard: 'macinare come sulla scheda',
    kept: (phased, one) =>
      `Così circa ${phased} tazze su 100 restano entro 2,5 s dal centro, contro ${one} con una sola regolazione (modello, approssimato).`,
    against: (day) =>
      `Rispetto alla regolazione del giorno ${day}; è il caffè che invecchia, non voi.`,
  },
  grind: {
    little: 'un poco',
    one: 'circa una tacca',
    oneOrTwo: 'una o due tacche',
    twoOrThree: 'due o tre tacche',
    several: 'parecchie tacche',
    finer: (amount) => `${amount} più fine`,
    coarser: (amount) => `${amount} più grosso`,
  },
  drinks: {
    title: 'Per le vostre tazze',
    drink: 'Bevanda',
    cup: 'Tazza',
    espresso: 'Espresso',
    button: 'Tasto, approssimato',
    fill: 'Per riempire',
    milk: 'latte',
    water: 'acqua',
    rough:
      'I volumi di espresso sono approssimati: la crema inganna l’occhio. Pesate una tazza e correggete il tasto.',
  },
  fits: {
    title: 'Su altre attrezzature',
    computed: 'calcolato',
    tried: 'provato',
    audience: {
      cafe: 'Bar, 58 mm, temperatura e pressione regolabili',
      cafeFixed: 'Bar, 58 mm, temperatura fissa',
      home54: 'Casa, 54 mm',
      homeLever: 'Casa, piccola leva, 46-51 mm',
      noScale: 'Senza bilancia',
      pressurised: 'Filtro pressurizzato',
    },
    notes: {
      same: () => 'La scheda così com’è.',
      pressurised: () =>
        'Un filtro pressurizzato crea da sé la resistenza: non si può regolare la macinatura e non c’è una ricetta onesta. Usate un filtro aperto, o andate solo a gusto.',
      basket: ({ share }) => `Tempo ± ${share} %: cominciate qui, decide il gusto.`,
      coarser: ({ steps }) =>
        `Macinare ${steps} più grosso di quanto sarebbe la stessa regolazione.`,
      finer: ({ steps }) => `Macinare ${steps} più fine di quanto sarebbe la stessa regolazione.`,
      soak: ({ s }) => `Circa ${s} s del tempo sono l’ammollo a mano.`,
      ratioForHeat: ({ c, isHotter }) =>
        isHotter
          ? `Estrae ${c} più caldo del previsto: compensato con un rapporto più corto.`
          : `Estrae ${c} meno caldo del previsto: compensato con un rapporto più lungo.`,
      heatOutOfReach: () => 'È più di quanto un rapporto possa compensare: la tazza sarà un’altra.',
      flush: () => 'Dopo una pausa lasciate scorrere finché non sputa più, mani lontane: scotta.',
      style: ({ style, nearest }) =>
        `“${style}” richiede il controllo di pressione o flusso. Senza, “${nearest}” è il più vicino; si perde ciò che rende speciale l’altra tazza.`,
      noScale: ({ ml }) =>
        `Riempite il filtro fino al segno, a raso; fermate a circa ${ml} di espresso con crema. Approssimato.`,
      clock: ({ s }) => `Contato sul vostro orologio, con ${s} s fino alla prima goccia.`,
    },
  },
  sheet: {
    title: 'Controlli del giorno',
    blanks: 'Bar: ____________________    Data: ____________    Di: ____________',
    checks: ['prima dell’apertura', 'a metà mattina', 'dopo pranzo'],
    check: 'Controllo',
    dose: 'Dose, g',
    out: 'In tazza, g',
    time: 'Tempo, s',
    dial: 'Ghiera',
    taste: 'Gusto, nota',
  },
};
