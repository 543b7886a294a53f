/** Words of the calendar that a patient's exercise days go into: others may see it, so no title says what somebody has. */
export const calendar = {
  "calendar.name": "Exercise days",
  "calendar.title": "Exercises, about {minutes, plural, one {# minute} other {# minutes}}",
  "calendar.line": "{number}. {name}: {sets, plural, one {# set} other {# sets}}, {work}",
  "calendar.run": "Led through on your phone: {address}",
  "calendar.morning": "How is it today? Three taps",
  "calendar.morningSays": "About your exercises of {date}: {address}",
};
