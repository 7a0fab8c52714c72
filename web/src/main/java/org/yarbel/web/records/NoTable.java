package org.yarbel.web.records;

/** A file that is no table we can read, with the sentence that says why. */
final class NoTable extends RuntimeException {
  private static final long serialVersionUID = 1;

  NoTable(String sentence) {
    super(sentence, null, false, false);
  }

  /** What a person is told. */
  String sentence() {
    return String.valueOf(getMessage());
  }
}
