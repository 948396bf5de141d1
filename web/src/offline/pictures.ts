/** Where the service worker keeps small pictures; taken away with every other copy. */
export const PICTURES = 'keen-gauge-pictures';
