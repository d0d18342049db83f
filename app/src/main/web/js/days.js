// Days as the pages write them: "Tue 8 Sep", in the page's language, whatever the browser's own habits are.

const OPTIONS = { day: "numeric", month: "short", timeZone: "UTC" };

/** The language of the page; English is that of Britain. */
export const languageOfDays = () => {
  const page = globalThis.document?.documentElement?.lang || "en";
  return page === "en" ? "en-GB" : page;
};

/** A way of writing days (milliseconds or a Date), with the weekday or the year where they are asked for. */
export function days(more = {}) {
  const format = new Intl.DateTimeFormat(languageOfDays(), { ...OPTIONS, ...more });
  return (day) => format.format(day).replace("Sept", "Sep").replace(",", "");
}
