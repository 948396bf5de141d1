/** Where packs are handed in, by the area of the meter point; '*' is everywhere else. */
export type OperatorAddresses = ReadonlyMap<string, string>;

/**
 * Reads `95=https://desk.example/,*=https://other.example/`. Whoever runs the server says where packs go, never whoever uses it: a
 * server must not be sent to addresses of its own network. Throws on anything that is no such list.
 */
export function operatorAddresses(text: string | undefined): OperatorAddresses {
  const pairs = (text ?? '').split(',').filter((pair) => pair.trim() !== '');
  return new Map(
    pairs.map((pair) => {
      const [, area, address] = /^\s*(\d{2}|\*)=(\S+)\s*$/.exec(pair) ?? [];
      if (area === undefined || address === undefined || !/^https?:$/.test(new URL(address).protocol))
        throw new Error(
          `OPERATOR_ADDRESSES: “${pair}” is not an area and an address, such as 97=https://desk.example/`,
        );
      return [area, address] as const;
    }),
  );
}

/** Where an area’s packs go; undefined where they go by hand. */
export function addressFor(addresses: OperatorAddresses, area: string): string | undefined {
  return addresses.get(area) ?? addresses.get('*');
}
