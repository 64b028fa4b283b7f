import type { CardWords } from './cardWords';

export const es: CardWords = {
  labels: {
    Coffee: 'Café',
    Components: 'Componentes',
    Roast: 'Tueste',
    Dose: 'Dosis',
    'In the cup': 'En taza',
    Time: 'Tiempo',
    Temperature: 'Temperatura',
    Ratio: 'Proporción',
    Tolerances: 'Tolerancias',
    'Taste holds': 'El sabor aguanta',
    Programme: 'Programa',
    'Step by step': 'Paso a paso',
    'Temperature is meant': 'Temperatura entendida',
    Basket: 'Cesta',
    'Made on': 'Hecho en',
    Grind: 'Molienda',
    Water: 'Agua',
    Rest: 'Reposo',
    Served: 'Se sirve',
    'Look for': 'Para encontrar',
    'The lot': 'El lote',
    Contains: 'Contiene',
    'When it is right': 'Cuando está bien',
    'When it ran short': 'Cuando quedó corto',
    'When it ran long': 'Cuando quedó largo',
    Repeated: 'Repetido',
    'Temperature school': 'Escuela de temperatura',
  },
  clock: { pump: 'desde la bomba', firstDrip: 'desde la primera gota' },
  process: {
    washed: 'Lavado',
    honey: 'Honey',
    natural: 'Natural',
    anaerobicWashed: 'Lavado anaeróbico',
    anaerobicNatural: 'Natural anaeróbico',
    carbonicMaceration: 'Maceración carbónica',
    infused: 'Infusionado, cofermentado o choque térmico',
    wetHulled: 'Descascarado húmedo',
    barrelAged: 'Envejecido en barrica',
    decaf: 'Descafeinado',
    other: 'Otro proceso',
  },
  roast: {
    '-2': 'Muy claro',
    '-1': 'Claro',
    '-0.5': 'Medio claro',
    '0': 'Medio',
    '0.5': 'Medio oscuro',
    '1': 'Oscuro',
    '2': 'Muy oscuro',
  },
  style: {
    classic: 'Clásico',
    longQuick: 'Largo y rápido',
    fastCoarse: 'Rápido y grueso',
    soakFirst: 'Primero remojar',
    shortDense: 'Corto y denso',
    declining: 'Presión descendente',
  },
  served: { straight: 'Solo', milk: 'Con leche', both: 'Solo y con leche' },
  tolerances: (doseG, yieldG) => `dosis ± ${doseG} g, taza ± ${yieldG} g`,
  holds: {
    inTheCup: (g) => `± ${g} g en taza`,
    within: (list, cost) =>
      `dentro de ${list} (unos 0,3 puntos de 10 cada uno${cost === null ? '' : `; lo que suelen desviarse los cafés cuesta unos ${cost}`})`,
  },
  basket: (name, diameter, rated) => `${name}, ${diameter} mm, para ${rated} g`,
  madeOn: (machine, grinder, dial) =>
    `${machine}; ${grinder} en ${dial}. Su dial será otro: muela según el tiempo.`,
  steps: (shown) => `${shown} ${shown === '1' ? 'punto' : 'puntos'}`,
  grindSince: (steps, isFiner, version) =>
    steps === null
      ? `Como en la ficha de la versión ${version}; su dial será otro: muela según el tiempo.`
      : `Unos ${steps} más ${isFiner ? 'fino' : 'grueso'} que en la ficha de la versión ${version}, en el molino de la casa. El suyo será otro: muela según el tiempo.`,
  asSet: 'como está puesta en la máquina',
  atGroup: (shown) => `en el grupo; esta máquina estaba puesta a ${shown}`,
  water: (hardness, alkalinity) =>
    [hardness && `dureza ${hardness}`, alkalinity && `alcalinidad ${alkalinity}`]
      .filter(Boolean)
      .join(', ') + ' (mg/L como CaCO₃)',
  rest: (from, to, day) => `Del día ${from} al ${to} después del tueste del ${day}`,
  lot: { harvest: 'cosecha', lot: 'lote', grownAt: (m) => `cultivado a ${m}` },
  labelling: 'Lo que debe declararse lo decide la ley alimentaria local.',
  roasted: (word) => `tueste ${word.toLowerCase()}`,
  repeated: (times) =>
    times > 1 ? `Repetido en el objetivo ${times} veces.` : 'Aún no repetido en el objetivo.',
  version: (number, day) => `Versión ${number}, ${day}.`,
  whatChanged: 'Qué cambió y por qué',
  newest: 'Versión más reciente',
  caution:
    'Si no cae nada, espere a que salga la presión antes de aflojar el portafiltro. Grupo, portafiltro y vapor queman. Para trabajos de electricidad, agua y presión: el manual del fabricante y un técnico autorizado.',
  card: {
    paper: 'Ficha en papel (PDF)',
    document: 'Archivo de la receta (JSON)',
    roastedOn: 'Tostado el',
    earlier: 'Versiones anteriores',
    straight: 'Solo',
    inMilk: 'Con leche',
    models:
      'Calculado por un modelo a partir de la receta de la casa: un comienzo, decide el sabor.',
  },
  phases: {
    title: 'A medida que el café envejece',
    days: (from, to) => `día ${from}-${to}`,
    asCard: 'moler como en la ficha',
    kept: (phased, one) =>
      `Así unas ${phased} de 100 tazas quedan a 2,5 s del centro, frente a ${one} con un solo ajuste (modelo, aproximado).`,
    against: (day) => `Respecto al ajuste del día ${day}; envejece el café, no usted.`,
  },
  grind: {
    little: 'un poco',
    one: 'alrededor de un punto',
    oneOrTwo: 'uno o dos puntos',
    twoOrThree: 'dos o tres puntos',
    several: 'varios puntos',
    finer: (amount) => `${amount} más fino`,
    coarser: (amount) => `${amount} más grueso`,
  },
  drinks: {
    title: 'Para sus tazas',
    drink: 'Bebida',
    cup: 'Taza',
    espresso: 'Espresso',
    button: 'Botón, aproximado',
    fill: 'Para llenar',
    milk: 'leche',
    water: 'agua',
    rough:
      'Los volúmenes de espresso son aproximados: la crema engaña al ojo. Pese una taza y corrija el botón.',
  },
  fits: {
    title: 'En otros equipos',
    computed: 'calculado',
    tried: 'probado',
    audience: {
      cafe: 'Cafetería, 58 mm, temperatura y presión ajustables',
      cafeFixed: 'Cafetería, 58 mm, temperatura fija',
      home54: 'Casa, 54 mm',
      homeLever: 'Casa, palanca pequeña, 46-51 mm',
      noScale: 'Sin báscula',
      pressurised: 'Cesta presurizada',
    },
    by: (from, to) => `${from}-${to} s`,
    notes: {
      same: () => 'La ficha tal cual.',
      pressurised: () =>
        'Una cesta presurizada crea su propia resistencia: no se puede ajustar la molienda ni dar una receta honesta. Use una cesta abierta, o vaya solo por el sabor.',
      basket: ({ share }) => `Tiempo ± ${share} %: empiece aquí, decide el sabor.`,
      coarser: ({ steps }) => `Moler ${steps} más grueso de lo que sería el mismo ajuste.`,
      finer: ({ steps }) => `Moler ${steps} más fino de lo que sería el mismo ajuste.`,
      soak: ({ s }) => `Unos ${s} s del tiempo son el remojo a mano.`,
      ratioForHeat: ({ c, isHotter }) =>
        isHotter
          ? `Extrae ${c} más caliente de lo previsto: se compensa con una proporción más corta.`
          : `Extrae ${c} menos caliente de lo previsto: se compensa con una proporción más larga.`,
      heatOutOfReach: () => 'Es más de lo que una proporción puede compensar: la taza será otra.',
      flush: () => 'Tras una pausa deje correr hasta que deje de escupir, manos lejos: quema.',
      style: ({ style, nearest }) =>
        `«${style}» necesita control de presión o de caudal. Sin él, «${nearest}» es lo más cercano; se pierde lo que hace especial la otra taza.`,
      noScale: ({ ml }) =>
        `Llene la cesta hasta la marca, a ras; pare a unos ${ml} de espresso con crema. Aproximado.`,
      clock: ({ s }) => `Contado en su reloj, con ${s} s hasta la primera gota.`,
    },
  },
};
