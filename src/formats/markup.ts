/** Text as markup takes it: in XML, in SVG, within an element or a quoted attribute. */
const SIGNS: Readonly<Record<string, string>> = {
  '<': '&lt;',
  '>': '&gt;',
  '&': '&amp;',
  '"': '&quot;',
};

export const markupText = (text: string): string => text.replace(/[<>&"]/g, (sign) => SIGNS[sign]!);
