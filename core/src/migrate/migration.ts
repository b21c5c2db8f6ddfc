/** One numbered step: takes raw JSON of version `from` to the next version. It calls nothing of today's document code. */
export interface Migration {
  readonly from: number;
  readonly migrate: (document: Record<string, unknown>) => Record<string, unknown>;
}
