import type { PhotoRef } from './photos';

/** A section of the crew sheet. */
export const CREW_SECTIONS = [
  'visit',
  'cautions',
  'load',
  'changes',
  'route',
  'connect',
  'settings',
  'tests',
  'promised',
] as const;
export type CrewSectionId = (typeof CREW_SECTIONS)[number];

/** Where in the survey a planned figure stands, so that what was fitted can be entered in its place. */
export interface CrewField {
  readonly path: readonly string[];
  readonly unit: string;
  readonly value: number | undefined;
}

/** One line of the sheet, to be read or to be ticked. Its id stays while what it is about stays. */
export interface CrewLine {
  readonly id: string;
  readonly text: string;
  readonly value?: string;
  readonly note?: string;
  /** Ticked when it is done. */
  readonly isTask?: boolean;
  readonly field?: CrewField;
  /** The telephone number in it, to be rung from where it is read. */
  readonly telephone?: string | undefined;
}

export interface CrewSection {
  readonly id: CrewSectionId;
  readonly title: string;
  readonly lines: readonly CrewLine[];
}

export interface CrewSheet {
  readonly sections: readonly CrewSection[];
  readonly photos: readonly PhotoRef[];
}
