/** What the server sends of a customer’s survey: the steps, and what of them has arrived. */
export interface AskedStep {
  readonly id: string;
  readonly ask: string;
  readonly how: string;
  /** The first is needed, the others may be left out. */
  readonly parts: readonly ('choice' | 'picture' | 'words' | 'meter-point')[];
  readonly choices?: readonly { readonly value: string; readonly label: string }[];
  /** Why it is asked again. */
  readonly again: string | null;
  readonly isIn: boolean;
}

export interface Asked {
  readonly firm: string;
  readonly telephone: string;
  readonly email: string;
  readonly keptMonths: number | null;
  readonly isDone: boolean;
  readonly steps: readonly AskedStep[];
}

/** What is typed or chosen in one step. */
export interface Says {
  readonly choice?: string;
  readonly words?: string;
  readonly number?: string;
}

/** Steps at the meter: nobody is sent back there once something is hot, buzzing or smells of burning. */
const AT_THE_METER = ['meter-position', 'cut-out', 'cut-out-label', 'meter', 'earth-wire'];

/** The steps to go through: where something is asked again only that, otherwise what has not arrived. */
export function stepsToGo(asked: Asked, isDangerous: boolean): readonly AskedStep[] {
  const again = asked.steps.filter((step) => step.again !== null && !step.isIn);
  const open = again.length > 0 ? again : asked.steps.filter((step) => !step.isIn);
  return isDangerous ? open.filter(({ id }) => AT_THE_METER.indexOf(id) < 0) : open;
}

/** Whether a step’s answer can be sent; what is wrong with a number is the server’s to say. */
export function isAnswered({ parts }: AskedStep, says: Says, pictures: number): boolean {
  const words = (says.words || '').trim() !== '';
  switch (parts[0]) {
    case 'choice':
      return says.choice !== undefined;
    case 'picture':
      return pictures > 0 || words;
    case 'meter-point':
      return pictures > 0 || (says.number || '').trim() !== '';
    default:
      return words;
  }
}
