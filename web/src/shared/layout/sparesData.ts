/** Whether the person told the browser to spare data. */
export const sparesData = (): boolean =>
  (navigator as { connection?: { saveData?: boolean } }).connection?.saveData === true;
