/** What kind of machine a browser says it runs on. */
export const machineOf = (browser: string): 'Phone' | 'Tablet' | 'Computer' =>
  /Mobi/i.test(browser) ? 'Phone' : /Tablet/i.test(browser) ? 'Tablet' : 'Computer';
