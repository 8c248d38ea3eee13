/** As a company is called until its lead has named it. */
export const UNNAMED_COMPANY = 'Our company';

/** Whom a company asks for a second factor. */
export const secondFactorChoices = ['nobody', 'leads', 'everybody'] as const;
export type SecondFactorOf = (typeof secondFactorChoices)[number];
