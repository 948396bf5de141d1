import { Id, ListOf, Moment, Quantity, Text } from './fields';

/** One thing of the crew sheet, done; its id is that of the sheet’s line. */
export class FitTick {
  @Id() id: string;
  @Text(300) note?: string;
  @Text(100) by?: string;
  @Moment() at?: string;
}

/** Where what was fitted differs from the plan: the survey says what was fitted, this what was planned. Its id is that of the sheet’s line. */
export class FitDifference {
  @Id() id: string;
  @Text(200) what?: string;
  @Text(200) planned?: string;
  @Text(200) fitted?: string;
  @Text(300) why?: string;
  @Text(100) by?: string;
  @Moment() at?: string;
}

/** Hours that a task took, of everybody who was on it added up. Its id is that of the task. */
export class TaskHours {
  @Id() id: string;
  @Quantity('h', 0, 1000) hours?: number;
}

/** How much of a line of the materials was used. Its id is that of the line. */
export class MaterialUsed {
  @Id() id: string;
  @Quantity('', 0, 100000) quantity?: number;
}

/** The fitting as it went. */
export class Fit {
  @ListOf(() => FitTick, 500) ticks?: FitTick[];
  @ListOf(() => FitDifference, 200) differences?: FitDifference[];
  @ListOf(() => TaskHours, 60) hours?: TaskHours[];
  @ListOf(() => MaterialUsed, 300) used?: MaterialUsed[];
  @Text(1000) note?: string;
}
