package org.yarbel.web.holdings;

/** An archive that is not taken in, with the sentence that says why. */
final class ArchiveRefused extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final String sentence;

  ArchiveRefused(String sentence) {
    super(sentence);
    this.sentence = sentence;
  }

  /** What a person is told. */
  String sentence() {
    return sentence;
  }
}
