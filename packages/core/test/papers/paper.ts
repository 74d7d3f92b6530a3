/** A whole paper as somebody would paste it, with what a careful reader takes from it. Sellers and products are invented. */
export interface Paper {
  readonly name: string;
  readonly text: string;
  /** Figures as `analyte basis value unit`, such as `P P2O5 8 %`; ranges as 2–3, below detection as <5. */
  readonly figures: readonly string[];
  /** Packages as `25 kg`. */
  readonly packages?: readonly string[];
  readonly grade?: string;
  readonly measured?: true;
  /** Choices of a person, by line, where the paper is asked about. */
  readonly chosen?: Readonly<Record<number, string>>;
}
