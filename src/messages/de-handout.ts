import type { MessageKey } from "./en";

/** The sheet that a patient takes home, in German. Written for this product; not yet read by a practice there. */
export const deHandout = {
  "handout.heading": "Übungen für {name}",
  "handout.date": "{clinic}, {date}",
  "handout.sets": "{sets, plural, one {# Satz} other {# Sätze}}: {work}",
  "handout.rest": "{seconds} Sekunden Pause",
  "handout.days": "{days, plural, one {an # Tag} other {an # Tagen}} in der Woche",
  "handout.bouts": "{bouts}-mal am Tag",
  "handout.first": "{leg} zuerst, dann das andere",
  "handout.only": "nur {leg}",
  "handout.slow": "langsam: {down} s herunter, {up} s hinauf",
  "handout.stopped": "Nicht machen, bis Ihre Praxis es sagt.",
  "handout.pain": "Schmerz",
  "handout.week": "Ihre Tage",
  "handout.noWeek": "An beliebigen Tagen; ein Ruhetag dazwischen ist gut.",
  "handout.restDay": "Ruhe",
  "handout.training": "Training",
  "handout.where.clinic": "in der Praxis",
  "handout.where.away": "unterwegs",
  "handout.limits": "Bitte beachten",
  "handout.until": "bis {date}",
  "handout.stop": "Aufhören und anrufen",
  "handout.stopWhen": "Sofort aufhören und anrufen, wenn:",
  "handout.stopSigns": [
    "ein Gelenk wegknickt oder blockiert",
    "es plötzlich knallt",
    "Sie das Bein nicht belasten können",
    "eine Wade heiß, geschwollen und schmerzhaft ist",
    "etwas taub wird oder Schmerz bis unter das Knie schießt",
    "Sie Fieber haben oder eine Wunde rot ist oder nässt",
    "Sie schlecht Luft bekommen, Brustschmerz haben oder ohnmächtig werden",
    "es zwischen den Beinen taub ist oder Blase oder Darm nicht gehorchen",
  ].join("\n"),
  "handout.emergency": "Brust, Atem, Ohnmacht, Blase",
  "handout.same-day": "Alles andere davon",
  "handout.review": "Fragen",
  "handout.phone": "Auf Ihrem Telefon",
  "handout.phoneSays":
    "Scannen Sie dies, oder öffnen Sie {address} und geben Sie {code} und Ihr Geburtsjahr ein. Gültig bis {until}.",
  "handout.foot": "Für eine Person von ihrer Praxis gemacht. Ersetzt weder die Praxis noch ärztlichen Rat.",
  "figure.leftSide": "linke Seite markiert",
  "figure.rightSide": "rechte Seite markiert",
  "handout.page": "Seite {page} von {pages}",
  "phone.repsWanted": "{reps}-mal",
  "phone.holdWanted": "{seconds} Sekunden halten",
  "phone.contactsWanted": "{contacts} Landungen",
  "phone.minutesWanted": "{minutes} Minuten",
  "phone.holdEach": "jeweils {seconds} Sekunden halten",
  "unit.weight.kg": "{kg} kg",
  "unit.weight.lb": "{lb} lb ({kg})",
  "phone.rightLeg": "rechtes Bein",
  "phone.leftLeg": "linkes Bein",
  "phone.bothLegs": "beide Beine",
  "phone.rule.pain-free": "Ihre Regel: kein Schmerz beim Üben.",
  "phone.rule.monitored":
    "Ihre Regel: Schmerz bis 2 von 10 ist in Ordnung. Am nächsten Morgen soll er weg sein.",
  "phone.rule.tendon":
    "Ihre Regel: Schmerz bis 3 von 10 ist in Ordnung. Am nächsten Tag soll es sein wie vorher.",
  "phone.rule.threshold-4":
    "Ihre Regel: Schmerz bis 4 von 10 ist in Ordnung. Am nächsten Morgen soll es sein wie vorher.",
} as const satisfies Partial<Record<MessageKey, string>>;

/** What the sheet says: the keys that every further language must have. */
export type HandoutKey = keyof typeof deHandout;
