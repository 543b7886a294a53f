/** Texts of the catalogue in another language, by the text in English: names, cues, safety, cautions and limits. */
export type CatalogueWords = Readonly<Record<string, string>>;
