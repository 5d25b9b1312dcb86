/** What the server says when it cannot do something: a sentence, and the field or the reasons. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly reasons: string[],
    readonly fields: { field: string; message: string }[],
  ) {
    super(detail);
  }

  /** Nobody's doing: the disk is full, the file is damaged or busy. The strip under the rooms says which. */
  get isOfTheShop(): boolean {
    return this.status === 503 || this.status === 507;
  }
}
