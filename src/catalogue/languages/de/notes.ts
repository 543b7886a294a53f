import type { CatalogueWords } from "../language";

/** What makes an exercise safe, and cautions, in German. */
export const notes: CatalogueWords = {
  "Pad under the knee, something to hold beside.": "Polster unter dem Knie, etwas zum Festhalten daneben.",
  "Thick pad under the knees; a wall or helper behind at first.":
    "Dickes Polster unter den Knien; anfangs eine Wand oder eine Hilfe dahinter.",
  "Chair against the wall, something to hold within reach.":
    "Stuhl an der Wand, etwas zum Festhalten in Reichweite.",
  "Loaded: space to step back, or safety bars.": "Mit Gewicht: Platz nach hinten oder Sicherungsstangen.",
  "Chair or wall beside; a pad under the rear knee as depth mark.":
    "Stuhl oder Wand daneben; ein Polster unter dem hinteren Knie als Tiefenmarke.",
  "Box against a wall; something to hold within reach.":
    "Kasten an der Wand; etwas zum Festhalten in Reichweite.",
  "Step that cannot slide; a rail or wall beside.": "Stufe, die nicht rutscht; Geländer oder Wand daneben.",
  "A stick held across the pelvis shows turning; a wall beside.":
    "Ein Stab quer vor dem Becken zeigt jedes Drehen; Wand daneben.",
  "Bench that cannot slide.": "Bank, die nicht rutscht.",
  "Bench against the wall; a towel under the weight.": "Bank an der Wand; ein Handtuch unter dem Gewicht.",
  "Pad under the knees; ankles held by a helper or a strap that cannot slip; space ahead.":
    "Polster unter den Knien; Knöchel von einer Hilfe oder einem festen Gurt gehalten; Platz nach vorn.",
  "Bench against a wall; a pad under the elbow.": "Bank an der Wand; ein Polster unter dem Ellbogen.",
  "A chair or wall within reach.": "Stuhl oder Wand in Reichweite.",
  "A wall within reach.": "Wand in Reichweite.",
  "Step that cannot slide; a wall beside.": "Stufe, die nicht rutscht; Wand daneben.",
  "A corner or a chair within reach.": "Eine Ecke oder ein Stuhl in Reichweite.",
  "Something to hold within reach.": "Etwas zum Festhalten in Reichweite.",
  "Along a wall or kitchen top.": "An einer Wand oder Arbeitsplatte entlang.",
  "Fingertips on a wall.": "Fingerspitzen an der Wand.",
  "Clear floor; a step or box that cannot slide.": "Freier Boden; Stufe oder Kasten, der nicht rutscht.",
  "Even, dry ground.": "Ebener, trockener Boden.",
  "Even, dry ground; space ahead.": "Ebener, trockener Boden; Platz nach vorn.",
  "Box that cannot tip; low enough to land standing.":
    "Kasten, der nicht kippt; so niedrig, dass Sie im Stehen landen.",
  "Light, over a floor that may be dropped on.": "Leicht, über einem Boden, auf den es fallen darf.",
  "Shoes that grip; a wall that lets the back slide.":
    "Schuhe mit Halt; eine Wand, an der der Rücken gleitet.",
  "Chair against the wall, a rail or table to hold.":
    "Stuhl an der Wand, Geländer oder Tisch zum Festhalten.",
  "Free floor all round; plates that can be let down.":
    "Freier Boden ringsum; Scheiben, die Sie ablegen können.",
  "Nobody and nothing in front.": "Niemand und nichts davor.",
  "A table that cannot slide.": "Ein Tisch, der nicht rutscht.",
  "A block that cannot tip or slide.": "Ein Block, der nicht kippt oder rutscht.",
  "Pad below the hip bones; ankles held.": "Polster unter den Beckenknochen; Knöchel gehalten.",
  "A rail or the back of a heavy chair in front.": "Ein Geländer oder die Lehne eines schweren Stuhls davor.",
  "Stay short of any pinch, and of any stretch at a fresh injury.":
    "Vor jedem Zwicken aufhören; bei frischer Verletzung vor jeder Dehnung.",
  "Stop at tingling; stiffness that grows is for the clinician to see.":
    "Bei Kribbeln aufhören; wachsende Steifheit soll die Praxis sehen.",
  "Not in the first days of a hamstring strain, and not before sprinting.":
    "Nicht in den ersten Tagen einer Zerrung der Oberschenkelrückseite und nicht vor Sprints.",
  "Only after the nerve and stress-fracture screen; any leg sign ends it.":
    "Erst nach der Untersuchung auf Nerven und Ermüdungsbruch; jedes Zeichen im Bein beendet es.",
  "Optional, by screening. Stretching does not lengthen the joint capsule.":
    "Nach Befund, freiwillig. Dehnen verlängert die Gelenkkapsel nicht.",
  "Knee needs about 105° of bend for a full turn; a high saddle asks for less.":
    "Für eine volle Umdrehung braucht das Knie etwa 105° Beugung; ein hoher Sattel verlangt weniger.",
  "Short arc near straight or long arc: choose by where it hurts. After ligament surgery only as the surgeon allows.":
    "Kurzer Bogen nahe der Streckung oder langer Bogen: wo es nicht schmerzt. Nach einer Bandoperation nur, wie der Operateur es erlaubt.",
  "Late stage. Kneeling on the front of a repaired knee needs getting used to first.":
    "Späte Stufe. An das Knien auf der Vorderseite eines operierten Knies muss man sich erst gewöhnen.",
  "Pinching in the groin stops this movement until somebody has looked at it.":
    "Zwicken in der Leiste beendet diese Bewegung, bis jemand es angesehen hat.",
  "Deep positions pinch some hips: stop the seat before that.":
    "Tiefe Stellungen zwicken in mancher Hüfte: vorher aufhören.",
  "Too short a stance, or weight that slips back, loads the rear knee.":
    "Ein zu kurzer Schritt oder Gewicht, das nach hinten rutscht, belastet das hintere Knie.",
  "High pain at the sit bone after a sudden stretch: have an avulsion ruled out first.":
    "Starker Schmerz am Sitzknochen nach plötzlicher Dehnung: zuerst einen Abriss ausschließen lassen.",
  "Sore for two or three days the first time; start with few. Not before sprinting, and not the day before.":
    "Beim ersten Mal zwei bis drei Tage Muskelkater; mit wenigen beginnen. Nicht vor Sprints und nicht am Tag davor.",
  "No maximal squeeze while the injury is fresh: pain inhibits it and the figure means nothing.":
    "Bei frischer Verletzung nicht mit voller Kraft drücken: der Schmerz bremst, und der Wert sagt nichts.",
  "Slide only as far as it stays within the pain rule; no stretch at the end.":
    "Nur so weit gleiten, wie es in Ihrer Schmerzregel bleibt; am Ende nicht dehnen.",
  "The highest adductor load in this list: soreness for two days is usual at first, pain at the site is not.":
    "Die höchste Belastung der Adduktoren in dieser Liste: zwei Tage Muskelkater sind anfangs üblich, Schmerz an der Stelle nicht.",
  "Own range only while a repaired capsule heals.":
    "Nur der eigene Bewegungsraum, solange eine genähte Kapsel heilt.",
  "Spared after hip arthroscopy until the surgeon's date.":
    "Nach einer Hüftspiegelung geschont bis zum Termin des Operateurs.",
  "A knee that cannot be held straight goes back to thigh tightening.":
    "Ein Knie, das sich nicht gestreckt halten lässt, geht zurück zum Anspannen des Oberschenkels.",
  "Backs that dislike bending backward: stop at the line, and not after a slipped vertebra before the clinician says so.":
    "Ein Rücken, der Rückbeugen nicht mag: an der Linie aufhören; bei Wirbelgleiten erst, wenn die Praxis es sagt.",
  "A calf that is hot, swollen or tender is not pressed: call first.":
    "Eine heiße, geschwollene oder druckempfindliche Wade wird nicht belastet: zuerst anrufen.",
  "Contacts, not repetitions, are counted. Two days free between spring days.":
    "Gezählt werden Kontakte, nicht Wiederholungen. Zwei freie Tage zwischen Sprungtagen.",
  "A pause makes it two movements, and it does not count.":
    "Mit einer Pause werden es zwei Bewegungen, und es zählt nicht.",
  "One variable a week: distance, then speed, then change of direction.":
    "Eine Größe je Woche: Strecke, dann Tempo, dann Richtungswechsel.",
  "Twenty minutes without symptoms come before strides.":
    "Zwanzig Minuten ohne Beschwerden kommen vor Steigerungsläufen.",
  "Not after lengthening hamstring work, nor the day after it.":
    "Nicht nach Dehnarbeit der Oberschenkelrückseite und nicht am Tag danach.",
  "Only on ground that holds the foot as usual; stop when tired.":
    "Nur auf gewohnt griffigem Boden; aufhören, wenn Sie müde sind.",
  "For backs that are stiff into extension. Not where bending back brings leg signs or a slip is known.":
    "Für einen Rücken, der nach hinten steif ist. Nicht, wenn Rückbeugen Zeichen im Bein bringt oder ein Wirbelgleiten bekannt ist.",
  "Not with leg signs, a known slip, or a young athlete's back pain in bending back that nobody has examined.":
    "Nicht bei Zeichen im Bein, bekanntem Wirbelgleiten oder Rückenschmerz junger Sportler beim Rückbeugen, den niemand untersucht hat.",
  "For backs that are stiff into extension; screened first. Not with leg signs or a known slip.":
    "Für einen Rücken, der nach hinten steif ist; zuerst untersucht. Nicht bei Zeichen im Bein oder bekanntem Wirbelgleiten.",
};
