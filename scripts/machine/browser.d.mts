export const BROWSER_ARGS: string[];
