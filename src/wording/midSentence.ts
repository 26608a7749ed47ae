/** First words of names that keep their capital inside a sentence: peoples and places, and genera that are not also plain words. */
const PROPER: ReadonlySet<string> = new Set(
  (
    'Japanese Dutch Colorado Asian Italian Norway Russian African Chinese Indian St. European American Mexican ' +
    "Pierce's Septoria Verticillium Rhizosphaera Dothistroma Diplodia Fusarium Phytophthora Cercospora Seiridium " +
    'Botryosphaeria Stigmina Kabatina Phoma Pythium Christmas'
  ).split(' '),
);

/** A name as it stands inside a sentence: "rose sawfly larvae", but "Japanese beetle" and "Panama wilt" as they are. */
export function midSentence(name: string): string {
  const [first = ''] = name.split(/[ -]/);
  return PROPER.has(first) ? name : name.charAt(0).toLowerCase() + name.slice(1);
}

/** The first letter large, as a text begins. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
