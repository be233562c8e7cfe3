/** Words of names and lines in six languages. Common practice, no source; translations were not read by native bakers. */

const set = (text: string): ReadonlySet<string> => new Set(text.trim().split(/\s+/));

/** `of`, `the` and their like: they say nothing of what a thing is. Without accents, lower case. */
export const connectors = set(`
  of the di de da do das dos del della dello dei delle degli dell du des d l la le il lo gli el los las un una uno une`);

/** Words spelled in two ways, brought to one. */
export const sameWords: ReadonlyMap<string, string> = new Map([
  ['fiber', 'fibre'],
  ['flavor', 'flavour'],
  ['yoghurt', 'yogurt'],
  ['yoghourt', 'yogurt'],
  ['castor', 'caster'],
  ['soya', 'soy'],
]);

/**
 * How it is prepared, how cold it is, how large, how good: words that never change what a thing is. What may change it stays out of
 * this list: fresh, dried, ground, whole, sweetened, salted, smoked, plant and their like.
 */
export const harmless = set(`
  and e y et und then dipped swept heaping rounded scant generous spooned freshly
  cold icy iced chilled frozen thawed very softened melted warm warmed lukewarm tepid hot boiling cooled room temperature
  diced cubed chopped finely coarsely roughly thinly freshly sifted packed firmly lightly loosely spooned levelled leveled grated
  shredded sliced halved quartered pitted stoned peeled cored trimmed washed rinsed drained beaten whisked strained cut torn
  into cubes pieces chunks dice chopped organic divided optional large medium small extra about good quality best pure shelled level
  heaped toasted ripe big little favourite favorite fine finest at in or to taste plus more needed as approx approximately each
  freddo fredda freddi fredde morbido morbida morbidi morbide fuso fusa fusi fuse ghiacciato ghiacciata ghiacciati ghiacciate
  tritato tritata tritati tritate setacciato setacciata grattugiato grattugiata grattugiati tostato tostata tostati tostate
  sbattuto sbattute sbattuta sbattuti grande grandi medio media medi medie piccolo piccola piccoli piccole q b qb biologico biologica bio
  sciolto sciolta cubetti pezzetti dadini pezzi ambiente temperatura sgocciolata sgocciolato circa a al in
  gelado gelada gelados geladas derretido derretida peneirado peneirada picado picada picados picadas ralado ralada cubos neve batido
  batida batidos grandes medios medias pequeno pequena pequenos maduro madura maduros maduras em bem
  frio fria frios derretida tamizado tamizada rallado rallada batido troceado troceada mediano medianos pequeno pequenos en tibio tibia
  froid froide froids fondu fondue mou mous molle tamise tamisee hache hachee haches hachees rape rapee battu battus des cubes concasse
  concassee concasses concassees coupe coupee gros grosse grand moyen moyens petit petits tiede pommade temperature ambiante
  kalt kalte kalter kaltes weich weiche weicher weiches geschmolzen geschmolzene gesiebt gesiebtes gehackt gehackte gehackter gerieben
  geriebene geriebener geschlagen zimmerwarm zimmerwarme gewurfelt gewurfelte gross grosse grosser mittel mittelgross mittelgrosse klein
  kleine kleiner lauwarm lauwarme etwas abgerieben abgeriebene ca`);

/** Words that change nothing of what is fresh, or of an egg or a nut, and everything of yeast, fruit and pasta. */
export const freshWords = set(`
  fresh fresco fresca freschi fresche frescos frescas frais fraiche fraiches frisch frische frischer frisches raw crudo cruda crudi crude
  cru crue crus roh rohe roher`);
export const wholeWords = set(
  `whole intero intera interi intere inteiro inteira inteiros entero enteros entier entiers entiere ganze ganzes`,
);
export const softWords = set(`soft weiche weich`);

/** `without`, as a word before the thing. */
export const withoutWords = set(`without senza sem sin sans ohne`);
/** Spellings of gluten: everything in this house is without. */
export const glutenNameWords = set(`gluten glutine gf`);
