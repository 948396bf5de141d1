/** What `npm run faults` found, in lines. */

const column = (value, width) => String(value).padStart(width);

/** Prints the result; true where something was lost, doubled, refused or never came back. */
export function tellFaults({ reckoned, broken, refusals, tally }, told, diskTried) {
  console.log(
    `\n${'kind'.padEnd(10)}${['acknowledged', 'present', 'doubled', 'lost'].map((each) => column(each, 14)).join('')}`,
  );
  for (const { kind, acknowledged, present, doubled, lost } of reckoned)
    console.log(`${kind.padEnd(10)}${[acknowledged, present, doubled, lost].map((each) => column(each, 14)).join('')}`);
  const sum = (key) => reckoned.reduce((total, each) => total + each[key], 0);
  console.log(
    `\nRequests ${tally.sent}: ${tally.unanswered} without an answer, ${tally.unavailable} told to come again (503), ${tally.failed} failed otherwise (5xx).`,
  );
  if (!diskTried) console.log('A full disk was not tried: this user may not mount a small file system.');
  for (const law of broken) console.log(`BROKEN: ${law}`);
  for (const refusal of refusals.slice(0, 5)) console.log(`REFUSED: ${refusal}`);
  const late = told.filter(({ all }) => all === null);
  console.log(
    `acknowledged ${sum('acknowledged')}, present ${sum('present')}, doubled ${sum('doubled')}, lost ${sum('lost')}`,
  );
  return sum('doubled') > 0 || sum('lost') > 0 || broken.length > 0 || refusals.length > 0 || late.length > 0;
}
