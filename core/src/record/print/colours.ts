/** Colours of what is printed. */
export const ink = '#17282B';
export const soft = '#5C6B6C';
export const hairline = '#CFCBBF';
/** What needs somebody; always beside words that say so. */
export const alarm = '#A8243A';
