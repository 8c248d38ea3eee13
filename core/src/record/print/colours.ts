/** Colours of what is printed. */
export const ink = '#17282B';
export const soft = '#5C6B6C';
export const hairline = '#CFCBBF';
