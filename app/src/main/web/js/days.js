// Days as the pages write them: "Tue 8 Sep", whatever the browser's own habits are.

const OPTIONS = { day: "numeric", month: "short", timeZone: "UTC" };

/** A way of writing days (milliseconds or a Date), with the weekday or the year where they are asked for. */
export function days(more = {}) {
  const format = new Intl.DateTimeFormat("en-GB", { ...OPTIONS, ...more });
  return (day) => format.format(day).replace("Sept", "Sep").replace(",", "");
}
