/** The first free loopback port at or after the one preferred. */
export function freePort(preferred: number): Promise<number>;
