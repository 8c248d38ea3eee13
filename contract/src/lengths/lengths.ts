/** Longest text one entry may carry, in characters. */
export const LONGEST_TEXT = 2000;
/** Longest code of a menu or an alarm. */
export const LONGEST_CODE = 40;
/** Longest id, name of a part or a wire. */
export const LONGEST_ID = 120;
/** Longest name of a person, site, unit, file. */
export const LONGEST_NAME = 200;
/** Longest telephone number, with what people write beside it. */
export const LONGEST_PHONE = 60;
/** Largest picture that stands for a company on its papers, in bytes, and as the text of a data URL. */
export const LARGEST_LOGO = 100_000;
export const LONGEST_LOGO_URL = Math.ceil(LARGEST_LOGO / 3) * 4 + 40;
/** Largest whole number that the database keeps in an integer column. */
export const MAX_INTEGER = 2_147_483_647;
/** Shortest password, in characters. */
export const SHORTEST_PASSWORD = 12;
export const LONGEST_PASSWORD = 500;

/** How long a device may work without contact with the server, days; a lead chooses. */
export const LEAST_OFFLINE_DAYS = 1;
export const USUAL_OFFLINE_DAYS = 14;
export const MOST_OFFLINE_DAYS = 30;
