import type { CatalogueWords } from "../language";

/** What limits say, in German. */
export const limits: CatalogueWords = {
  "no adductor stretching in this stage": "in dieser Stufe keine Dehnung der Adduktoren",
  "no jumping or running in this stage": "in dieser Stufe kein Springen oder Laufen",
  "this belongs to a later stage": "das gehört zu einer späteren Stufe",
  "squeezes stay at 30–40 % in this stage": "in dieser Stufe Drücken nur mit 30–40 %",
  "maximal squeezes wait for the next stage": "Drücken mit voller Kraft wartet bis zur nächsten Stufe",
  "no lengthening of the hamstring yet": "die Oberschenkelrückseite noch nicht dehnen",
  "on two legs in this stage": "in dieser Stufe auf beiden Beinen",
  "lengthening under load waits for the next stage": "Arbeit in der Dehnung wartet bis zur nächsten Stufe",
  "runs stay at or below 80 %": "Läufe bis höchstens 80 %",
  "the capsule heals: nothing forced, no straight-leg raise":
    "die Kapsel heilt: nichts erzwingen, gestrecktes Bein nicht heben",
  "hip bend stays within 90°": "Hüfte bis höchstens 90° beugen",
  "no forced end range, no impact yet": "kein erzwungenes Bewegungsende, noch keine Stöße",
  "hip bend stays short of where it pinches": "Hüfte nur beugen, bis kurz bevor es zwickt",
  "no kneeling on the knee yet": "noch nicht auf dem Knie knien",
  "knee bend stays within 90°": "Knie bis höchstens 90° beugen",
  "as the knee allows, to 125°": "wie das Knie es erlaubt, bis 125°",
  "no open-chain extension and no resisted bending yet":
    "noch kein Strecken am freien Bein und kein Beugen gegen Widerstand",
  "knee bend stays within 90° for six weeks": "sechs Wochen lang Knie bis höchstens 90° beugen",
  "no resisted bending while the repair heals": "kein Beugen gegen Widerstand, solange die Naht heilt",
  "no deep loaded bend before sixteen weeks": "vor der sechzehnten Woche keine tiefe Beuge mit Last",
  "no end-range bending backward": "kein Rückbeugen bis ans Ende",
  "low knee bend only": "Knie nur wenig beugen",
  "steps stay at or below 15 cm": "Stufen bis höchstens 15 cm",
  "always something to hold": "immer etwas zum Festhalten",
  "drops stay at or below 20 cm": "Absprunghöhe bis höchstens 20 cm",
  "falls: no eyes closed, soft ground or second task":
    "Sturzgefahr: keine geschlossenen Augen, kein weicher Boden, keine zweite Aufgabe",
  "falls: no jumping": "Sturzgefahr: kein Springen",
  "thin bones: no loaded or end-range bending and twisting of the spine":
    "dünne Knochen: Wirbelsäule nicht unter Last oder bis ans Ende beugen und drehen",
  "thin bones: springs not above small rebounds": "dünne Knochen: höchstens kleine federnde Hüpfer",
  "tendon at risk: nothing explosive": "Sehne gefährdet: nichts Explosives",
  "tendon at risk: no maximal effort": "Sehne gefährdet: keine volle Kraft",
  "heart, not cleared: effort to 70 %": "Herz, noch nicht freigegeben: Anstrengung bis 70 %",
  "heart, not cleared: holds to 10 s": "Herz, noch nicht freigegeben: Halten bis 10 s",
  "pregnancy or after birth: no jumping before it is graded in":
    "Schwangerschaft oder nach der Geburt: kein Springen, bevor es stufenweise eingeführt ist",
  "numb feet: eyes stay open, ground stays firm": "taube Füße: Augen offen, fester Boden",
  "growing: no maximal effort": "im Wachstum: keine volle Kraft",
  "no open-chain extension before week 4": "kein Strecken am freien Bein vor Woche 4",
  "open-chain extension stays within 90–45° until week 8":
    "Strecken am freien Bein nur zwischen 90 und 45° bis Woche 8",
  "hamstring graft: no isolated bending against resistance before week 12":
    "Sehne der Oberschenkelrückseite entnommen: kein Beugen gegen Widerstand vor Woche 12",
  "graft from the front of the knee: no kneeling before week 16":
    "Sehne von der Vorderseite des Knies entnommen: kein Knien vor Woche 16",
  "no jumping before week 12": "kein Springen vor Woche 12",
  "no running before week 12": "kein Laufen vor Woche 12",
  "no loaded knee bend beyond 90° before week 16": "keine Kniebeuge mit Last über 90° vor Woche 16",
  "no isolated bending of the knee against resistance for eight weeks":
    "acht Wochen lang kein Beugen des Knies gegen Widerstand",
  "no jumping before week 16": "kein Springen vor Woche 16",
  "no running before week 16": "kein Laufen vor Woche 16",
  "two legs only for 4 weeks": "4 Wochen lang nur auf beiden Beinen",
  "touch weight only, to 10 kg": "nur abrollen, bis 10 kg",
  "hip bend stays within 90°, no extension past neutral, for three weeks":
    "drei Wochen lang Hüfte bis höchstens 90° beugen und nicht über die gerade Linie strecken",
  "outward rotation of the hip stays within 20° for three weeks":
    "drei Wochen lang Hüfte höchstens 20° nach außen drehen",
  "no straight-leg raise for six weeks": "sechs Wochen lang gestrecktes Bein nicht heben",
  "no loaded hip flexion for six weeks": "sechs Wochen lang die Hüfte nicht gegen Last beugen",
  "hip flexor not made long for six weeks": "sechs Wochen lang den Hüftbeuger nicht lang machen",
  "hip flexor not stretched for six weeks": "sechs Wochen lang den Hüftbeuger nicht dehnen",
  "two legs only for 3 weeks": "3 Wochen lang nur auf beiden Beinen",
  "no inward rotation of the hip": "Hüfte nicht nach innen drehen",
  "the leg does not cross the midline": "das Bein kreuzt nicht über die Mitte",
  "no jumping unless the surgeon says so": "kein Springen, außer der Operateur erlaubt es",
  "no hip extension past neutral for six weeks":
    "sechs Wochen lang Hüfte nicht über die gerade Linie strecken",
  "outward rotation of the hip stays within 20° for six weeks":
    "sechs Wochen lang Hüfte höchstens 20° nach außen drehen",
  "kneeling late and by comfort": "Knien spät und nach Gefühl",
  "no running unless the surgeon says so": "kein Laufen, außer der Operateur erlaubt es",
  "Hamstring tendon repair: not loaded before the surgeon opens it":
    "Sehnennaht an der Oberschenkelrückseite: nicht belasten, bis der Operateur es freigibt",
  "Hamstring tendon repair: not made long before the surgeon opens it":
    "Sehnennaht an der Oberschenkelrückseite: nicht lang machen, bis der Operateur es freigibt",
  "Hamstring tendon repair: not stretched before the surgeon opens it":
    "Sehnennaht an der Oberschenkelrückseite: nicht dehnen, bis der Operateur es freigibt",
  "Hamstring tendon repair: no jumping before the surgeon opens it":
    "Sehnennaht an der Oberschenkelrückseite: kein Springen, bis der Operateur es freigibt",
  "Hamstring tendon repair: no running before the surgeon opens it":
    "Sehnennaht an der Oberschenkelrückseite: kein Laufen, bis der Operateur es freigibt",
  "Quadriceps tendon repair: not loaded before the surgeon opens it":
    "Naht der Quadrizepssehne: nicht belasten, bis der Operateur es freigibt",
  "Quadriceps tendon repair: not made long before the surgeon opens it":
    "Naht der Quadrizepssehne: nicht lang machen, bis der Operateur es freigibt",
  "Quadriceps tendon repair: not stretched before the surgeon opens it":
    "Naht der Quadrizepssehne: nicht dehnen, bis der Operateur es freigibt",
  "Quadriceps tendon repair: no jumping before the surgeon opens it":
    "Naht der Quadrizepssehne: kein Springen, bis der Operateur es freigibt",
  "Quadriceps tendon repair: no running before the surgeon opens it":
    "Naht der Quadrizepssehne: kein Laufen, bis der Operateur es freigibt",
  "Patellar tendon repair: not loaded before the surgeon opens it":
    "Naht der Patellarsehne: nicht belasten, bis der Operateur es freigibt",
  "Patellar tendon repair: not made long before the surgeon opens it":
    "Naht der Patellarsehne: nicht lang machen, bis der Operateur es freigibt",
  "Patellar tendon repair: not stretched before the surgeon opens it":
    "Naht der Patellarsehne: nicht dehnen, bis der Operateur es freigibt",
  "Patellar tendon repair: no jumping before the surgeon opens it":
    "Naht der Patellarsehne: kein Springen, bis der Operateur es freigibt",
  "Patellar tendon repair: no running before the surgeon opens it":
    "Naht der Patellarsehne: kein Laufen, bis der Operateur es freigibt",
  "Achilles tendon repair: not loaded before the surgeon opens it":
    "Naht der Achillessehne: nicht belasten, bis der Operateur es freigibt",
  "Achilles tendon repair: not made long before the surgeon opens it":
    "Naht der Achillessehne: nicht lang machen, bis der Operateur es freigibt",
  "Achilles tendon repair: not stretched before the surgeon opens it":
    "Naht der Achillessehne: nicht dehnen, bis der Operateur es freigibt",
  "Achilles tendon repair: no jumping before the surgeon opens it":
    "Naht der Achillessehne: kein Springen, bis der Operateur es freigibt",
  "Achilles tendon repair: no running before the surgeon opens it":
    "Naht der Achillessehne: kein Laufen, bis der Operateur es freigibt",
};
