const inWords = (options: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat('en-GB', options);
  return (at: string | Date): string => format.format(new Date(at));
};

const TIME: Intl.DateTimeFormatOptions = { hour: '2-digit', minute: '2-digit' };

/** The time of day of a moment, as `14:05`, where the builder is. */
export const sayTime = inWords(TIME);

/** The day of a moment, as `26 November 2026`. */
export const sayDay = inWords({ day: 'numeric', month: 'long', year: 'numeric' });

/** Day and time of a moment, as `26 Nov 2026, 14:05`. */
export const sayMoment = inWords({ day: 'numeric', month: 'short', year: 'numeric', ...TIME });
