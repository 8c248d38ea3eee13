/** As a company is called until its lead has named it. */
export const UNNAMED_COMPANY = 'Our company';
